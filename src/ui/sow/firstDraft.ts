import { t } from '$messages/t.ts';
import { findCrop } from '$core/crops/library.ts';
import type { Household } from '$core/sowing/household.ts';
import type { Place } from '$core/places/place.ts';
import { USUAL_PLACE } from '$core/places/usual.ts';
import { COMMON_SIZES } from '$core/supplies/containers/sizes.ts';
import type { Units } from '$core/units/format.ts';
import type { Container, Shape } from '$core/supplies/containers/container.ts';
import type { Method } from '$core/supplies/methods/method.ts';
import { leftG, type LotStock } from '$core/supplies/seed/lot.ts';
import type { Draft } from './draft.ts';

/** What each shape is to begin with. */
const SHAPES: Record<Shape, Container> = {
  rectangle: {
    get name() {
      return t('sow.tray');
    },
    shape: 'rectangle',
    lengthCm: 25,
    widthCm: 18,
    depthCm: 5,
    cells: 1
  },
  round: {
    get name() {
      return t('sow.roundPot');
    },
    shape: 'round',
    lengthCm: 16,
    widthCm: 16,
    depthCm: 8,
    cells: 1
  },
  cells: {
    get name() {
      return t('sow.cellTray');
    },
    shape: 'cells',
    lengthCm: 5,
    widthCm: 5,
    depthCm: 5,
    cells: 6
  }
};

/** The size that a new container of a shape begins with: the first that is common where people measure in these units. */
export const beginningSize = (shape: Shape, units: Units): Container => ({
  ...SHAPES[shape],
  ...COMMON_SIZES[units].find((size) => size.shape === shape),
  name: SHAPES[shape].name
});

/** A place of one's own to begin with, where there is none yet. */
const FIRST_PLACE: Place = {
  id: '',
  get name() {
    return t('sow.kitchenSill');
  },
  light: { kind: 'sill', aspect: 'midday', back: false },
  ...USUAL_PLACE
};

/** A form as it is first shown: as the household sowed last, where it has sown. */
export function firstDraft(of: {
  cropKey: string | null;
  lots: readonly LotStock[];
  methods: readonly Method[];
  household: Pick<Household, 'methodKey' | 'ownCrops' | 'places'> & { units: Units };
  /** Its containers, those used last first. */
  lastUsed: readonly Container[];
}): Draft {
  const cropKey = findCrop(of.cropKey ?? '', [...of.household.ownCrops])?.key ?? '';
  const lot = of.lots.find((one) => one.cropKey === cropKey && leftG(one) > 0);
  const method = of.methods.find(({ key }) => key === of.household.methodKey) ?? of.methods[0]!;
  return {
    kind: 'one',
    parts: [{ cropKey, lotId: lot?.id ?? '', share: '1' }],
    shareOf: 'weight',
    staggered: false,
    container: { ...(of.lastUsed[0] ?? beginningSize('rectangle', of.household.units)) },
    containerName: '',
    count: '1',
    medium: method.medium,
    mediumId: '',
    methodKey: method.key,
    method: null,
    placeId: of.household.places[0]?.id ?? 'new',
    lightPlaceId: '',
    newPlace: of.household.places.length > 0 ? null : { ...FIRST_PLACE },
    density: 'usual',
    ownDensity: '',
    germination: '',
    ownSeedG: null,
    soak: '',
    stack: '',
    when: 'now',
    readyBy: ''
  };
}
