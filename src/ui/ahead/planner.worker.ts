import { answer, type Asked } from './planning.ts';

addEventListener('message', ({ data }: MessageEvent<Asked>) => answer(data, (told) => postMessage(told)));
