import {
  createDecipheriv,
  createECDH,
  createPublicKey,
  hkdfSync,
  randomBytes,
  randomUUID,
  verify,
  type ECDH
} from 'node:crypto';
import type { IncomingHttpHeaders } from 'node:http';

/** A subscription, as a browser hands it to a page. */
export interface Subscription {
  endpoint: string;
  keys: { p256dh: string; auth: string };
}

/** A push as its browser reads it. */
export interface ReadPush {
  at: number;
  text: string;
  ttl: string;
  topic: string;
  /** Who sent it, as signed. */
  subject: string;
}

interface Subscribed {
  keys: ECDH;
  auth: Buffer;
  gone: boolean;
}

/**
 * A browser's push service and the browser behind it in one: it checks who sends (RFC 8292), and reads what was encrypted
 * for it alone (RFC 8291, 8188).
 */
export class PushService {
  readonly pushes: ReadPush[] = [];
  private readonly subscribed = new Map<string, Subscribed>();

  /** @param base where it is reached, with a slash at its end */
  constructor(private readonly base: () => string) {}

  subscribe(): Subscription {
    const keys = createECDH('prime256v1');
    keys.generateKeys();
    const auth = randomBytes(16);
    const id = randomUUID();
    this.subscribed.set(id, { keys, auth, gone: false });
    return {
      endpoint: `${this.base()}push/${id}`,
      keys: { p256dh: keys.getPublicKey('base64url'), auth: auth.toString('base64url') }
    };
  }

  /** Ends a subscription, as somebody does who clears their browser. */
  end(endpoint: string): void {
    const one = this.subscribed.get(endpoint.split('/').at(-1)!);
    if (one) one.gone = true;
  }

  /** Takes a push. @returns the status that the service answers */
  take(id: string, headers: IncomingHttpHeaders, body: Buffer): number {
    const one = this.subscribed.get(id);
    if (!one) return 404;
    if (one.gone) return 410;
    if (headers['content-encoding'] !== 'aes128gcm' || headers.ttl === undefined) return 400;
    const subject = signer(String(headers.authorization ?? ''), new URL(this.base()).origin);
    if (subject === null) return 403;
    try {
      this.pushes.push({
        at: Date.now(),
        text: decrypted(body, one),
        ttl: String(headers.ttl),
        topic: String(headers.topic ?? ''),
        subject
      });
      return 201;
    } catch {
      return 400;
    }
  }
}

/** Who signed a push for this service; null where the signature does not hold. */
function signer(authorization: string, origin: string): string | null {
  const [, token = '', key = ''] = /^vapid t=([\w.-]+), ?k=([\w-]+)$/.exec(authorization) ?? [];
  const [head = '', claims = '', seal = ''] = token.split('.');
  const point = Buffer.from(key, 'base64url');
  if (point.length !== 65) return null;
  const publicKey = createPublicKey({
    format: 'jwk',
    key: {
      kty: 'EC',
      crv: 'P-256',
      x: point.subarray(1, 33).toString('base64url'),
      y: point.subarray(33).toString('base64url')
    }
  });
  const holds = verify(
    'sha256',
    Buffer.from(`${head}.${claims}`),
    { key: publicKey, dsaEncoding: 'ieee-p1363' },
    Buffer.from(seal, 'base64url')
  );
  const { aud, exp, sub } = JSON.parse(Buffer.from(claims, 'base64url').toString()) as {
    aud?: string;
    exp?: number;
    sub?: string;
  };
  const seconds = Date.now() / 1000;
  return holds && aud === origin && exp !== undefined && exp > seconds && exp < seconds + 86_400
    ? (sub ?? '')
    : null;
}

function decrypted(body: Buffer, { keys, auth }: Subscribed): string {
  const salt = body.subarray(0, 16);
  const idLength = body.readUInt8(20);
  const theirs = body.subarray(21, 21 + idLength);
  const sealed = body.subarray(21 + idLength);
  const shared = keys.computeSecret(theirs);
  const info = Buffer.concat([Buffer.from('WebPush: info\0'), keys.getPublicKey(), theirs]);
  const ikm = Buffer.from(hkdfSync('sha256', shared, auth, info, 32));
  const derive = (what: string, length: number) =>
    Buffer.from(hkdfSync('sha256', ikm, salt, Buffer.from(`Content-Encoding: ${what}\0`), length));
  const decipher = createDecipheriv('aes-128-gcm', derive('aes128gcm', 16), derive('nonce', 12));
  decipher.setAuthTag(sealed.subarray(-16));
  const plain = Buffer.concat([decipher.update(sealed.subarray(0, -16)), decipher.final()]);
  // The last record ends in 2, and what comes behind it is padding.
  return plain.subarray(0, plain.lastIndexOf(2)).toString();
}
