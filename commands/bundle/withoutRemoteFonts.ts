import type { Plugin } from 'vite';

/**
 * Takes out of every stylesheet the font faces whose files lie on another host: the application ships its
 * own typeface, and no request leaves the machine.
 */
export function withoutRemoteFonts(): Plugin {
  return {
    name: 'without-remote-fonts',
    enforce: 'post',
    generateBundle(_options, bundle) {
      for (const file of Object.values(bundle))
        if (file.type === 'asset' && file.fileName.endsWith('.css'))
          file.source = String(file.source).replace(
            /@font-face\s*\{[^}]*url\(\s*["']?(?:https?:)?\/\/[^}]*\}/g,
            ''
          );
    }
  };
}
