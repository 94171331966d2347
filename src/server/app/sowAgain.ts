import { t } from '../../messages/t.ts';
import { SeedLots } from '../../core/choice/seedLots.ts';
import { isReady } from '../../core/supplies/methods/ready.ts';
import { AS_USUAL, type ChoiceData, type PartData } from '../../core/choice/choiceData.ts';
import type { SowingSetup } from '../../core/sowing/sowing.ts';
import type { Tx } from '../db/connection.ts';
import type { Session } from '../sessions/sessions.ts';
import { listLots } from '../cupboard/lots.ts';
import { listMedia } from '../cupboard/media.ts';
import { findSowing, listSowings } from '../sowings/sowings.ts';
import { sow, Wrong, type NewSowing } from './sow.ts';

/**
 * Sows the same again from now on: crop or mix, containers, medium, method, place, its own grams and its soak. Sending it again
 * adds nothing.
 * @param sowingId of one half for a tray of two halves
 * @throws Wrong where it is not there, or cannot be sown as it was
 */
export async function sowAgain(
  tx: Tx,
  session: Pick<Session, 'household' | 'memberId'>,
  { sowingId, ids }: { sowingId: string; ids: NewSowing['ids'] }
): Promise<{ ids: string[]; added: boolean }> {
  const found = await findSowing(tx, sowingId);
  if (!found) throw new Wrong('sowingId', t('errors.sowingNotThereAnyMore'));
  const { setup } = found;
  const { half } = setup;
  const beside = half
    ? (await listSowings(tx, { cropKey: half.besideKey })).find(
        (one) => one.setup.half?.trayId === half.trayId && one.setup.id !== setup.id
      )?.setup
    : undefined;
  if (half && !beside) throw new Wrong('sowingId', t('errors.halfNotThereAnyMore'));
  const halves = beside ? [setup, beside] : [setup];
  const [lots, media] = await Promise.all([listLots(tx), listMedia(tx)]);
  const before = setup.mix ?? halves;
  const taken = new SeedLots(lots).takeFor(before);
  const parts = before.map(({ cropKey, seedG }, nth): PartData => ({
    cropKey,
    lotId: taken[nth]!,
    share: setup.mix ? seedG : 1,
    variety: setup.mix?.[nth]?.variety
  }));
  return sow(tx, session, {
    ...AS_USUAL,
    ids,
    kind: setup.mix ? 'blended' : beside ? 'halves' : 'one',
    parts,
    shareOf: 'weight',
    container: setup.container,
    count: setup.count,
    medium: setup.medium,
    mediumId: media.some(({ id }) => id === setup.mediumId) ? setup.mediumId : null,
    methodKey: setup.method.key,
    method: isReady(setup.method) ? null : setup.method,
    placeId: setup.placeId,
    lightPlaceId: setup.lightPlaceId,
    newPlace: null,
    ...densityOf(setup, halves),
    soakH: setup.soakH,
    stackOf: setup.stackOf,
    shownSeedG: null
  });
}

/** Its own grams: of two halves each its own density, which their sum has only where they are alike. */
const densityOf = (
  setup: SowingSetup,
  halves: readonly SowingSetup[]
): Partial<Pick<ChoiceData, 'density' | 'seedsPerCm2' | 'ownSeedG'>> =>
  halves.length > 1 ? {} : { density: 'own', seedsPerCm2: setup.seedsPerCm2, ownSeedG: setup.seedG };
