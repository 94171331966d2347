import { kitchenAir, type Corner } from '../../src/server/demo/kitchenAir.ts';
import { zoneOf } from '../../src/core/time/zone.ts';

/** What a device is told when it asks what it sent last. */
interface Status {
  now: number;
  lastAt: number | null;
  zone: string;
}

interface Sensor {
  /** Where Brote is, with a slash at the end. */
  url: string;
  token: string;
  corner: Corner;
  /** How often it reads, ms of the household's time. */
  everyMs: number;
}

/** At most so many readings in one go, as a device with little memory would send. */
const AT_ONCE = 400;

/**
 * Plays a room sensor: asks what it sent last, and sends what it has read since, in line protocol over HTTP as
 * any real device would. Asked again, it has nothing new to say.
 * @returns how many readings were taken
 */
export async function sendReadings({ url, token, corner, everyMs }: Sensor): Promise<number> {
  const address = `${url}api/readings`;
  const headers = { authorization: `Bearer ${token}` };
  const status = (await (await fetch(address, { headers })).json()) as Status;
  const zone = zoneOf(status.zone);
  const from = status.lastAt ?? status.now - 24 * 3_600_000;
  const lines: string[] = [];
  for (
    let at = (Math.floor(from / everyMs) + 1) * everyMs;
    at <= status.now && lines.length < AT_ONCE;
    at += everyMs
  ) {
    const { tempC, humidityPct } = kitchenAir(at, zone, corner);
    lines.push(`air temperature=${tempC},humidity=${humidityPct} ${at}`);
  }
  if (lines.length === 0) return 0;
  const answer = await fetch(`${address}?precision=ms`, {
    method: 'POST',
    headers: { ...headers, 'content-type': 'text/plain; charset=utf-8' },
    body: lines.join('\n')
  });
  if (!answer.ok) throw new Error(`Readings were not taken: ${await answer.text()}`);
  return lines.length;
}
