import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { optimizeImports } from 'carbon-preprocess-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: [vitePreprocess(), optimizeImports()],
  kit: {
    adapter: adapter({ precompress: true }),
    // `src/server` is then server-only to SvelteKit too: importing it from a component fails the build.
    files: { lib: 'src' },
    alias: {
      $core: 'src/core',
      $ui: 'src/ui',
      $server: 'src/server',
      $contract: 'src/contract',
      $words: 'src/words',
      $messages: 'src/messages',
      $catalogue: 'src/messages/compiled'
    },
    // Tests are checked with the commands, and once is enough.
    typescript: {
      config: (config) => ({ ...config, include: config.include.filter((path) => !path.includes('test')) })
    },
    // Checked in `src/hooks.server.ts`, which lets a device send plain text.
    csrf: { trustedOrigins: ['*'] },
    csp: {
      mode: 'nonce',
      directives: {
        'default-src': ['none'],
        'script-src': ['self'],
        'style-src': ['self'],
        // The one inline style there is: what hides SvelteKit's page announcer from the eye.
        'style-src-attr': ['unsafe-hashes', 'sha256-S8qMpvofolR8Mpjy4kQvEm7m1q8clzU4dfDH0AmvZjo='],
        'img-src': ['self', 'data:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'manifest-src': ['self'],
        'base-uri': ['none'],
        'form-action': ['self'],
        'frame-ancestors': ['none']
      }
    }
  }
};
