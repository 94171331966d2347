import { createServer, type IncomingMessage } from 'node:http';
import { catchMail, type MailCatcher } from './mailCatcher.ts';
import { PushService } from './pushService.ts';
import { mailPage, readerPage } from './reader.ts';
import { WebhookReceiver } from './webhookReceiver.ts';

/** What is outside of Brote: a mail server, a browser's push service, somebody's webhook. Each speaks the real protocol. */
export interface Outside {
  /** Its reader, with a slash at its end. */
  url: string;
  mail: MailCatcher;
  push: PushService;
  hook: WebhookReceiver;
  close(): Promise<void>;
}

/** What Brote must be told to send there: the settings an operator would make for real ones. */
export const outsideSettings = ({ url, mail }: Outside): Record<string, string> => ({
  BROTE_SMTP_URL: mail.url,
  BROTE_MAIL_FROM: 'Brote <brote@balcony.example>',
  BROTE_ALLOW_HOSTS: new URL(url).host,
  BROTE_OUTSIDE: url
});

/** @param port of the reader; 0 for any */
export async function startOutside(port = 0): Promise<Outside> {
  let url = '';
  const mail = await catchMail({ user: 'brote', password: 'caught' });
  const push = new PushService(() => url);
  const hook = new WebhookReceiver();
  const server = createServer((request, response) => {
    readBody(request)
      .then((body) => {
        const path = new URL(request.url ?? '/', 'http://outside').pathname.split('/').slice(1);
        const end = (status: number, type: string, text: string) => {
          response.writeHead(status, {
            'content-type': `${type}; charset=utf-8`,
            'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; frame-src 'self'"
          });
          response.end(text);
        };
        if (request.method === 'POST' && path[0] === 'push')
          return end(push.take(path[1] ?? '', request.headers, body), 'text/plain', '');
        if (request.method === 'POST' && path[0] === 'subscribe')
          return end(200, 'application/json', JSON.stringify(push.subscribe()));
        if (request.method === 'POST' && path[0] === 'trust') {
          hook.trust(body.toString());
          return end(204, 'text/plain', '');
        }
        if (request.method === 'POST' && path[0] === 'hook')
          return end(hook.take(request.headers, body.toString()), 'text/plain', '');
        if (path[0] === 'mail') {
          const one = mail.mails[Number(path[1])];
          return one ? end(200, 'text/html', mailPage(one)) : end(404, 'text/plain', 'No such mail.');
        }
        return end(200, 'text/html', readerPage(mail.mails, push.pushes, hook.calls));
      })
      .catch(() => response.destroy());
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  url = `http://127.0.0.1:${(server.address() as { port: number }).port}/`;
  return {
    url,
    mail,
    push,
    hook,
    close: async () => {
      await mail.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      });
    }
  };
}

async function readBody(request: IncomingMessage): Promise<Buffer> {
  const parts: Buffer[] = [];
  try {
    for await (const part of request) parts.push(part as Buffer);
  } catch {
    // Whoever hung up is answered nothing.
  }
  return Buffer.concat(parts);
}
