import { runCommand } from './lib/say.ts';
import { upAndRunning } from './lib/upAndRunning.ts';

await runCommand(() => upAndRunning({ data: 'home', greeting: (url) => `Brote is ready: open ${url}` }));
