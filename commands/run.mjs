// The one plain JavaScript file: it runs before anything is installed, installs it, and hands over.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
process.chdir(root);

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(
    `Brote needs Node.js 20.19 or newer; this is ${process.versions.node}. Install a newer one and try again.`
  );
  process.exit(1);
}

const installed = join(root, 'node_modules/.package-lock.json');
const lock = join(root, 'package-lock.json');
if (!existsSync(installed) || statSync(installed).mtimeMs < statSync(lock).mtimeMs) {
  console.log('Installing what package-lock.json names (once, and after it changed) ...');
  const npm = spawnSync('npm', ['ci', '--loglevel=error', '--include=dev'], { stdio: 'inherit' });
  if (npm.status !== 0) {
    console.error(
      'The packages could not be installed. Check the network and the free space on this disk, and try again.'
    );
    process.exit(1);
  }
}

const task = process.argv[2] ?? '';
if (
  !existsSync(join(root, `commands/${task}.ts`)) ||
  !JSON.parse(readFileSync('package.json', 'utf8')).scripts[task]
) {
  console.error(`There is no command “${task}”.`);
  process.exit(1);
}
// Where the aliases of the source lead stands in a file that SvelteKit writes.
if (!existsSync(join(root, '.svelte-kit/tsconfig.json')))
  spawnSync('node', ['node_modules/@sveltejs/kit/svelte-kit.js', 'sync'], { stdio: 'inherit' });
const { register } = await import('tsx/esm/api');
register();
const { ensureMessages } = await import('./lib/messages.ts');
ensureMessages();
// What a command says to anybody, it says from the catalogue.
await import('../src/messages/every.ts');
await import(`./${task}.ts`);
