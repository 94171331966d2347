import { faults, laySiege, report, WHOLE } from '../test/siege/siege.ts';
import { Ground } from '../test/support/started.ts';
import { freePort } from './lib/freePort.ts';
import { runCommand, say } from './lib/say.ts';

/** Lays siege to a Brote of its own for some minutes, on this machine alone, and says how it stood. */
await runCommand(async () => {
  const ground = new Ground(await freePort());
  try {
    const siege = await laySiege(ground, WHOLE, say);
    say('');
    for (const line of report(siege)) say(line);
    const wrong = faults(siege);
    for (const line of wrong) console.error(line);
    process.exitCode = wrong.length > 0 ? 1 : 0;
  } finally {
    await ground.clear();
  }
  process.exit();
});
