import { seedDemo } from '../src/server/demo/seedDemo.ts';
import { runCommand } from './lib/say.ts';
import { upAndRunning } from './lib/upAndRunning.ts';

process.env.BROTE_DEMO = '1';

await runCommand(() =>
  upAndRunning({
    data: 'demo',
    fresh: true,
    fill: async () => void (await seedDemo(Date.now())),
    greeting: (url) =>
      `The demo is ready: open ${url}\nIt begins afresh at every start; nothing in it is kept.`
  })
);
