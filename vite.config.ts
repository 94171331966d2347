import { sveltekit } from '@sveltejs/kit/vite';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { defineConfig } from 'vite';
import { withoutRemoteFonts } from './commands/bundle/withoutRemoteFonts.ts';

export default defineConfig({
  plugins: [sveltekit(), optimizeCss(), withoutRemoteFonts()],
  build: {
    target: 'es2022',
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
