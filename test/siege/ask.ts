import { Agent, request } from 'node:http';

/** One request as it goes over the wire. */
export interface Sent {
  method: string;
  path: string;
  headers: Record<string, string>;
  body?: Buffer | string;
}

/** What came back; a status of 0 for no answer, with why. */
export interface Came {
  status: number;
  text: string;
  bytes: Buffer;
  headers: Record<string, string | string[] | undefined>;
  ms: number;
  /** Whether it took longer than anything may. */
  hung: boolean;
}

/** Past this a request hangs: many times longer than the server gives any transaction, even on a busy machine. */
export const HUNG_MS = 120_000;

const agent = new Agent({ keepAlive: true, maxSockets: 64 });

/** Asks a server of this machine; never rejects. */
export function ask(base: URL, sent: Sent): Promise<Came> {
  const started = performance.now();
  return new Promise((resolve) => {
    let settled = false;
    const done = (came: Omit<Came, 'ms'>) => {
      if (settled) return;
      settled = true;
      resolve({ ...came, ms: performance.now() - started });
    };
    const none = (hung: boolean) => done({ status: 0, text: '', bytes: Buffer.alloc(0), headers: {}, hung });
    let going;
    try {
      going = request(
        {
          host: base.hostname,
          port: base.port,
          method: sent.method,
          path: sent.path,
          headers: { host: base.host, ...sent.headers },
          agent,
          timeout: HUNG_MS
        },
        (answer) => {
          const parts: Buffer[] = [];
          answer.on('data', (part: Buffer) => parts.push(part));
          answer.on('end', () => {
            const bytes = Buffer.concat(parts);
            const text = bytes.toString('utf8');
            done({ status: answer.statusCode ?? 0, text, bytes, headers: answer.headers, hung: false });
          });
          answer.on('error', () => none(false));
        }
      );
    } catch {
      // Node refuses to send it: no server would have seen it.
      return none(false);
    }
    going.on('timeout', () => {
      none(true);
      going.destroy();
    });
    going.on('error', () => none(false));
    going.end(sent.body);
  });
}
