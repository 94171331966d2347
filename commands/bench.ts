import { buildBench, ensureBuild } from './lib/build.ts';
import { runCommand } from './lib/say.ts';

await runCommand(async () => {
  ensureBuild();
  const { bench } = (await import(buildBench())) as typeof import('./lib/bench.ts');
  // All of it, or the parts that are named: `npm run bench -- page notebook`.
  await bench(process.argv.slice(3));
  process.exit(0);
});
