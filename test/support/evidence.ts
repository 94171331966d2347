import { sowingMessage, type SowingEvidence } from '../../src/core/growth/learn.ts';

/** What each sowing that saw anything says, as learning takes it. */
export const messagesOf = (sowings: readonly SowingEvidence[]) =>
  sowings.flatMap((sowing) => {
    const message = sowingMessage(sowing);
    return message ? [{ cropKey: sowing.cropKey, message }] : [];
  });
