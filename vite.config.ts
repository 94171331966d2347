import { sveltekit } from '@sveltejs/kit/vite';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { defineConfig } from 'vite';
import { withoutRemoteFonts } from './commands/bundle/withoutRemoteFonts.ts';

export default defineConfig({
  plugins: [sveltekit(), optimizeCss(), withoutRemoteFonts()],
  build: { target: 'es2022' }
});
