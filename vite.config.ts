import { sveltekit } from '@sveltejs/kit/vite';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { defineConfig } from 'vite';
import { shortKeys } from './commands/bundle/shortKeys.ts';
import { withoutRemoteFonts } from './commands/bundle/withoutRemoteFonts.ts';

export default defineConfig({
  plugins: [sveltekit(), optimizeCss(), withoutRemoteFonts(), shortKeys()],
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
            { name: 'shared', test: /[\\/]src[\\/](core|words|contract|ui)[\\/]/, minShareCount: 6 },
            { name: 'kit', test: /[\\/]node_modules[\\/]/, minShareCount: 6 }
          ]
        }
      }
    }
  }
});
