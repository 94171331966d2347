import type { Round } from '../time/rhythm.ts';

const HANDED = ':to:';

/** Names a round's reminder: the same for whoever works it out. */
export const roundKey = ({ key }: Pick<Round, 'key'>): string => `round:${key}`;

/** Names the reminder of a round for the member that it was handed on to after the others were told. */
export const handedKey = (round: Pick<Round, 'key'>, memberId: string): string =>
  `${roundKey(round)}${HANDED}${memberId}`;

/** The key of what a reminder is of: a round that was handed on is the round. */
export const ownKey = (key: string): string => key.split(HANDED)[0]!;
