import type { MediumKind } from './medium.ts';

/** How deep water may stand in the tray under a thin medium, once its roots reach it, cm (docs/model.md, 6). */
export const POOL_CM: Partial<Record<MediumKind, number>> = { 'hemp-mat': 0.3, paper: 0.3, none: 0.5 };

/** Whether a medium is so thin that it lives from a pool. */
export const hasPool = (medium: MediumKind): boolean => POOL_CM[medium] !== undefined;

/** Whether its first water goes straight in: there is no medium that could be damped. */
export const isStraightIn = (medium: MediumKind): boolean => medium === 'mesh' || medium === 'none';
