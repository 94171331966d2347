import { seedDemo } from '../src/server/demo/seedDemo.ts';
import { EVERY_MS, KITCHEN, kitchenToken } from '../src/server/demo/sensors.ts';
import { isFree } from './lib/freePort.ts';
import { sendReadings } from './lib/roomSensor.ts';
import { runCommand } from './lib/say.ts';
import { upAndRunning } from './lib/upAndRunning.ts';
import { webAddress } from './lib/web.ts';
import { outsideSettings, startOutside } from './standIns/outside.ts';

process.env.BROTE_DEMO = '1';

let household = '';

await runCommand(async () => {
  const outside = await startOutside(await portBeside());
  Object.assign(process.env, outsideSettings(outside));
  await upAndRunning({
    data: 'demo',
    fresh: true,
    fill: async ({ ownerUrl }) => void (household = await seedDemo(Date.now(), ownerUrl)),
    serving: async (url) => playSensor(url, await kitchenToken(household)),
    greeting: (url) =>
      `The demo is ready: open ${url}\nIt begins afresh at every start; nothing in it is kept.\nMail and notifications that it sends are caught: read them at ${outside.url}`
  });
});

/** The port after the demo's, where that is free: the same at every start. */
async function portBeside(): Promise<number> {
  const { port } = webAddress();
  return port > 0 && (await isFree(port + 1)) ? port + 1 : 0;
}

/** The kitchen's sensor, played by a stand-in that speaks to the demo as a real one would. */
function playSensor(url: string, token: string): void {
  const sensor = { url, token, corner: KITCHEN.corner, everyMs: EVERY_MS };
  const read = () => void sendReadings(sensor).catch(() => {});
  read();
  setInterval(read, 2000).unref();
}
