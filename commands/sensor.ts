import { MINUTE } from '../src/core/time/zone.ts';
import { sendReadings } from './lib/roomSensor.ts';
import { Plain, runCommand, say } from './lib/say.ts';

/** A simulated room sensor for a Brote that runs: `npm run sensor -- http://127.0.0.1:4180/ brote_...` */
await runCommand(async () => {
  const [address, token] = process.argv.slice(2).filter((one) => one !== 'sensor');
  if (!address || !token)
    throw new Plain(
      'Say where Brote is and the device’s token: npm run sensor -- http://127.0.0.1:4180/ brote_...'
    );
  const url = address.endsWith('/') ? address : `${address}/`;
  const sensor = { url, token, corner: { meanC: 19.5, swingC: 3, humidityPct: 52 }, everyMs: 10 * MINUTE };
  for (;;) {
    const sent = await sendReadings(sensor);
    if (sent > 0) say(`${new Date().toISOString()}  ${sent} ${sent === 1 ? 'reading' : 'readings'} sent`);
    await new Promise((resolve) => setTimeout(resolve, MINUTE));
  }
});
