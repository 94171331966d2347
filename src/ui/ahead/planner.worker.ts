/// <reference lib="webworker" />
import wasmUrl from 'highs/runtime?url';
import { answer, type Asked, type Told } from './planning.ts';

const scope = self as unknown as DedicatedWorkerGlobalScope;

/** The solver is heavy: it comes once there is a plan to better. */
async function loadHighs() {
  const { default: load } = await import('highs');
  return load({ locateFile: () => wasmUrl });
}

scope.onmessage = ({ data }: MessageEvent<Asked>) =>
  answer(data, loadHighs, (told: Told) => scope.postMessage(told));
