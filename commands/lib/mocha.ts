import { spawn } from 'node:child_process';
import { TESTS_FOLDER } from './build.ts';

/** What came of a check, or of a folder of tests. */
export interface Count {
  passed: number;
  failed: number;
  /** What failed, as it was printed: said once more at the end, for the middle of a long run is easily lost. */
  said?: string;
}

/** How much of its last output is repeated when a run breaks off. */
const BROKE_OFF_CHARS = 2000;

/** Runs a program of the project's packages, and shows what it printed once it is done: two run at a time. */
export function run(
  program: string,
  args: string[],
  env: Record<string, string> = {}
): Promise<{ code: number; output: string }> {
  return new Promise((resolve) => {
    const child = spawn('node', [`node_modules/${program}`, ...args], {
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe']
    });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk: Buffer) => (output += chunk.toString()));
    child.on('close', (code) => {
      process.stdout.write(output);
      resolve({ code: code ?? 1, output });
    });
  });
}

/** A folder of tests; a run that breaks off without saying how many failed counts as one failure. */
export async function mocha(
  folder: string,
  env: Record<string, string> = {},
  { jobs = 1, timeoutMs = 0 }: { jobs?: number; timeoutMs?: number } = {}
): Promise<Count> {
  const { code, output } = await run(
    'mocha/bin/mocha.js',
    [
      `${TESTS_FOLDER}/${folder}/**/*.test.js`,
      '--no-config',
      '--forbid-only',
      '--timeout',
      String(timeoutMs),
      '--color',
      ...(jobs > 1 ? ['--parallel', '--jobs', String(jobs)] : [])
    ],
    { ...env, NODE_OPTIONS: '--enable-source-maps' }
  );
  const plain = output.replace(/\u001b\[[0-9;]*m/g, '');
  const number = (word: string) => Number(new RegExp(`^\\s*(\\d+) ${word}`, 'm').exec(plain)?.[1] ?? 0);
  const failed = number('failing');
  // Where a promise is never kept, a run may end in silence and without a word of what passed.
  if (code === 0 && failed === 0 && number('passing') > 0) return { passed: number('passing'), failed };
  const from = plain.search(/^\s*\d+ failing$/m);
  const said = from < 0 ? `${folder} broke off:\n${plain.slice(-BROKE_OFF_CHARS)}` : plain.slice(from);
  return { passed: number('passing'), failed: Math.max(1, failed), said: `${folder}:\n${said}` };
}
