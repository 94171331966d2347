import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vite';
import { shortKeys } from './commands/bundle/shortKeys.ts';
import { firstView } from './commands/bundle/firstView.ts';
import { smallFont } from './commands/bundle/smallFont.ts';
import { usedCarbon } from './commands/bundle/usedCarbon.ts';
import { withoutRemoteFonts } from './commands/bundle/withoutRemoteFonts.ts';

export default defineConfig({
  plugins: [usedCarbon(), sveltekit(), withoutRemoteFonts(), smallFont(), shortKeys()],
  // Messages are compiled beforehand: the parser stays at home.
  resolve: {
    alias: { '@formatjs/icu-messageformat-parser': '@formatjs/icu-messageformat-parser/no-parser.js' }
  },
  build: {
    target: 'es2022',
    // Messages are files of their own, fetched in the reader's language.
    assetsInlineLimit: (path) => (path.includes('/messages/compiled/') ? false : undefined),
    rolldownOptions: {
      output: {
        // What many views share comes in a few files, not in a hundred: a phone asks for each.
        codeSplitting: {
          groups: [
            { name: firstView, test: /[\\/](?:src|node_modules)[\\/]/, minShareCount: 2, priority: 2 },
            { name: 'shared', test: /[\\/]src[\\/](core|words|contract|ui)[\\/]/, minShareCount: 6 },
            { name: 'kit', test: /[\\/]node_modules[\\/]/, minShareCount: 6 }
          ]
        }
      }
    }
  }
});
