import { t } from '../../../messages/t.ts';
import { request as httpRequest } from 'node:http';
import { request as httpsRequest } from 'node:https';
import { RequestFilteringHttpAgent, RequestFilteringHttpsAgent } from 'request-filtering-agent';

/** An answer from outside. */
export interface HttpAnswer {
  status: number;
  /** Its beginning, for the log. */
  text: string;
}

/** Somebody gave an address that Brote does not send to. */
export class Refused extends Error {
  override readonly name = 'Refused';
}

const TIMEOUT_MS = 10_000;
const MOST_HOPS = 3;
const MOST_ANSWER = 2000;

const httpAgent = new RequestFilteringHttpAgent();
const httpsAgent = new RequestFilteringHttpsAgent();

/** Machines and ports that the operator lets Brote send to though they are private: `BROTE_ALLOW_HOSTS`, by commas. */
const isAllowed = ({ host }: URL): boolean =>
  process.env.BROTE_ALLOW_PRIVATE === '1' ||
  (process.env.BROTE_ALLOW_HOSTS ?? '')
    .split(',')
    .map((one) => one.trim().toLowerCase())
    .includes(host.toLowerCase());

/** @throws Refused where it is no address of the web */
export function outgoingUrl(address: string): URL {
  const url = URL.canParse(address) ? new URL(address) : null;
  if (!url || !['http:', 'https:'].includes(url.protocol) || url.hostname === '')
    throw new Refused(t('reminders.noAddressWebBeginsWith'));
  if (url.username !== '' || url.password !== '')
    throw new Refused(t('reminders.leaveNamePasswordOutAddress'));
  return url;
}

/**
 * Posts something to an address that somebody typed. What leads to this machine or a private network is refused once its
 * name is resolved, at the connection itself, and again at every redirect.
 * @throws Refused where it may not be sent there; Error where it did not get through
 */
export async function postOut(
  address: string,
  headers: Record<string, string | number>,
  body: Buffer | string
): Promise<HttpAnswer> {
  let url = outgoingUrl(address);
  for (let hop = 0; hop <= MOST_HOPS; hop += 1) {
    const { status, text, location } = await once(url, headers, body);
    if (![307, 308].includes(status) || location === null) return { status, text };
    url = outgoingUrl(new URL(location, url).href);
  }
  throw new Error('It redirects without end.');
}

function once(
  url: URL,
  headers: Record<string, string | number>,
  body: Buffer | string
): Promise<HttpAnswer & { location: string | null }> {
  const secure = url.protocol === 'https:';
  const agent = isAllowed(url) ? undefined : secure ? httpsAgent : httpAgent;
  return new Promise((resolve, reject) => {
    const request = (secure ? httpsRequest : httpRequest)(
      url,
      { method: 'POST', headers: { ...headers, 'content-length': Buffer.byteLength(body) }, agent },
      (response) => {
        let text = '';
        response.setEncoding('utf8');
        const done = () =>
          resolve({ status: response.statusCode ?? 0, text, location: response.headers.location ?? null });
        response.on('data', (chunk: string) => {
          text += chunk;
          // Nobody needs the rest of it.
          if (text.length > MOST_ANSWER) {
            text = text.slice(0, MOST_ANSWER);
            request.destroy();
            done();
          }
        });
        response.on('end', done);
        response.on('error', reject);
      }
    );
    // The whole of it, and not a pause within it: a drip of bytes holds nothing up.
    const late = setTimeout(
      () => request.destroy(new Error(`It did not answer within ${TIMEOUT_MS / 1000} seconds.`)),
      TIMEOUT_MS
    );
    request.on('close', () => clearTimeout(late));
    request.on('error', (error) => reject(refusal(error)));
    request.end(body);
  });
}

/** What the filter says, so that people see what is meant. */
function refusal(error: Error): Error {
  return /is not allowed|private|meta|DNS lookup.*not allowed/i.test(error.message)
    ? new Refused(t('reminders.addressLeadsMachineOrInto'))
    : error;
}
