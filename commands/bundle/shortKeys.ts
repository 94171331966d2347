import { existsSync, readFileSync } from 'node:fs';
import type { Plugin } from 'vite';

const SHORT_KEYS = 'src/messages/compiled/shortKeys.json';
const CALL = /\b(t|rich)\((\s*)(['"])([\w.-]+)\3/g;

/** In what goes to browsers, names messages by numbers: their keys would weigh as much as the messages do. */
export function shortKeys(): Plugin {
  let short: Record<string, string> = {};
  return {
    name: 'brote:short-keys',
    enforce: 'post',
    buildStart() {
      if (existsSync(SHORT_KEYS))
        short = JSON.parse(readFileSync(SHORT_KEYS, 'utf8')) as Record<string, string>;
    },
    transform(code, id, options) {
      if (options?.ssr || !id.includes('/src/') || !CALL.test(code)) return null;
      CALL.lastIndex = 0;
      return {
        code: code.replace(CALL, (call, name: string, space: string, _quote, key: string) =>
          key in short ? `${name}(${space}'${short[key]}'` : call
        ),
        map: null
      };
    }
  };
}
