import { cropName } from './cropNames.ts';
import { t, table } from '$messages/t.ts';
import { READINGS_HEADER } from '$core/places/air/csv.ts';
import type { Problem, ProblemKind, Problems } from '$core/problem.ts';
import type { FieldProblem } from '$core/choice/resolve.ts';
import type { UnitKind } from '$core/units/parseQuantity.ts';

const EXAMPLES: Record<UnitKind, string> = {
  mass: '12.5 g',
  get length() {
    return t('errors.cm');
  },
  get volume() {
    return t('errors.ml');
  },
  get density() {
    return t('errors.cm2');
  }
};
const SIZES = table('errors.sizes');
const COLUMNS = () => t('errors.hasMoreColumnsThanFirst');
const tidy = (value: number): string => String(Math.round(value * 10) / 10);
const celsius = (degF: number): number => (degF - 32) / 1.8;

/** What is wrong, and what to do. */
const SAY: { [K in ProblemKind]: (params: Problems[K]) => string } = {
  'no-quantity': ({ kind }) => t('errors.writeNumberWithUnitSuch', { kind: EXAMPLES[kind] }),
  'either-number': ({ typed, whole, decimal }) => t('errors.typedCanBeWholeOr', { typed, whole, decimal }),
  'no-number': () => t('errors.writeNumberSuchAsOr'),
  'no-area': () => t('errors.writeAreaCmOrSides'),
  'figure-outside': ({ label, low, high }) => t('errors.labelGiveFigureFromLow', { label, low, high }),
  'under-nothing': ({ kind }) => t('errors.noQuantityLessThanNothing', { kind: EXAMPLES[kind] }),
  'no-unit': ({ typed, known }) => t('errors.typedNoUnitUsedHere', { typed, known: known.join(', ') }),
  'size-out-of-bounds': ({ of, low, high }) => t('errors.mustBeBetweenLowHigh', { of: SIZES[of], low, high }),
  'cells-out-of-bounds': ({ low, high }) => t('errors.cellTrayHasBetweenLow', { low, high }),
  'no-crop': () => t('errors.chooseCrop'),
  'crop-twice': () => t('errors.cropBlendAlreadyNameEach'),
  'parts-of-kind': () => t('errors.oneCropStandsAloneHalves'),
  'no-share': ({ high }) => t('errors.givePartsSuchAsOr', { high }),
  'lot-gone': () => t('errors.lotNoLongerYourCupboard'),
  'lot-dead': () => t('errors.nothingSproutedLotTestChoose'),
  'name-of-another': ({ name }) => t('errors.nameNameSizeGiveOne', { name }),
  'count-outside': ({ low, high }) => t('errors.giveWholeNumberFromLow', { low, high }),
  'medium-gone': () => t('errors.mediumNoLongerYourCupboard'),
  'method-gone': () => t('errors.methodNoLongerThereChoose'),
  'no-place': () => t('errors.choosePlace'),
  'place-gone': () => t('errors.placeNoLongerThereChoose'),
  'place-dark': ({ name }) => t('errors.nameDarkTooChoosePlace', { name }),
  'density-outside': ({ high }) =>
    t('errors.enterDensityOverUpHigh', { high, Number: Math.round(Number(high) * 6.4516) }),
  'seed-outside': ({ kg }) => t('errors.giveSeedOverGUp', { kg }),
  'germination-none': () => t('errors.ifNothingSproutsCantBe'),
  'germination-outside': () => t('errors.givePercentageOverUpOr'),
  'method-figure': ({ low, high }) => t('errors.enterNumberBetweenLowHigh', { low, high }),
  'soak-outside': ({ high }) => t('errors.giveHoursFromHighNo', { high }),
  'stack-outside': ({ high }) => t('errors.giveWholeNumberTraysFrom', { high }),
  'stack-too-high': () => t('errors.stackWouldPressLowestTray'),
  'no-day': () => t('errors.chooseDayShouldBeReady'),
  'no-such-day': () => t('errors.dayDoesNotExistChoose'),
  'day-passed': () => t('errors.dayHasPassedChooseOne'),
  'day-too-near': () => t('errors.tooNearCropChooseDay'),
  'hypochlorite-too-strong': () => t('errors.hypochloriteNotComputedOverPpm'),
  'peroxide-too-strong': () => t('errors.peroxideNotComputedOverBurns'),
  'product-too-weak': () => t('errors.productWeakerThanStrengthAsked'),
  'stock-too-weak': () => t('errors.stockWeakerThanStrengthWanted'),
  'over-all-of-it': () => t('errors.noProductOverReadStrength'),
  'no-seed-to-treat': () => t('errors.enterHowMuchSeedThere'),
  'bowl-not-weighed': () => t('errors.weighBowlWithGreensEnter'),
  'tare-under-nothing': () => t('errors.emptyBowlWeighsOrMore'),
  'share-not-chosen': () => t('errors.chooseHowMuchTrayWas'),
  'bowl-too-light': () => t('errors.fullBowlMustWeighMore'),
  'cut-given-up': () => t('errors.trayWasGivenUpWhat'),
  'cut-ended': () => t('errors.trayHasBeenCutEnd'),
  'cut-not-sown': () => t('errors.trayHasNotBeenSown'),
  'cut-more-than-stands': ({ share }) =>
    t('errors.onlyShareStillStandsChoose', { share: Math.round(share * 100) }),
  'cut-before': ({ pieces }) => t('errors.oneThesePiecesWasCut', { pieces }),
  'cut-no-regrowth': ({ crop }) => t('errors.cropDoesNotGrowAgain', { crop: cropName(crop) }),
  'item-gone': () => t('errors.notPantryAnyMoreWas'),
  'item-holds-less': ({ left, unit }) => t('errors.onlyTidyUnitLeftTake', { tidy: tidy(left), unit }),
  'made-more': ({ made, of }) => t('errors.tidyCannotComeTidyG', { tidy: tidy(made), tidy2: tidy(of) }),
  'tray-too-light': () => t('errors.lessThanEmptyTrayWeighs'),
  'tray-too-heavy': ({ times }) => t('errors.overTimesTimesWhatTray', { times: Math.round(times) }),
  'reading-no-number': () => t('errors.readingNeedsTimeTemperatureC'),
  'reading-ahead': () => t('errors.readingLiesAheadSetClock'),
  'reading-old': () => t('errors.readingOverThreeMonthsOld'),
  'reading-temperature': ({ tempC, low, high }) => {
    const read = celsius(tempC);
    return read >= low && read <= high
      ? t('errors.tidyCNoRoomF', { tidy: tidy(tempC), read: read.toFixed(1) })
      : t('errors.tidyCNoRoomWhere', { tidy: tidy(tempC), read: read.toFixed(0) });
  },
  'reading-humidity': ({ humidityPct, low, high }) =>
    t('errors.tidyNoHumidityLiesBetween', { tidy: tidy(humidityPct), low, high }),
  'line-unread': () => t('errors.lineNameBlankFieldsSuch'),
  'line-no-temperature': () => t('errors.thereNoFieldTemperatureC'),
  'line-no-time': ({ typed, precision }) => t('errors.typedNoTimeWholePrecision', { typed, precision }),
  'time-unread': ({ typed, tooManyColumns }) =>
    t('errors.typedNoTimeSuchAs', { typed, when: tooManyColumns ? 'yes' : 'no', COLUMNS: COLUMNS() }),
  'temperature-unread': ({ typed }) => t('errors.typedNoTemperature', { typed }),
  'humidity-unread': ({ typed }) => t('errors.typedNoHumidity', { typed }),
  'too-many-columns': () => COLUMNS(),
  'file-no-text': () => t('errors.fileNoPlainTextSave'),
  'file-no-header': () => t('errors.firstLineMustNameColumns', { columns: READINGS_HEADER }),
  'file-no-columns': ({ names }) =>
    t('errors.firstLineNamesNamesOne', { names: names.join(', '), columns: READINGS_HEADER }),
  'file-day-or-month': ({ typed }) => t('errors.typedCanBeReadAs', { typed }),
  'past-too-many': ({ lines, most }) => t('errors.listHasLinesLinesImport', { lines, most }),
  'past-no-header': () => t('errors.firstLineMustNameColumns2'),
  'past-no-columns': ({ names }) => t('errors.firstLineNamesNamesChoose', { names: names.join(', ') }),
  'past-no-crop': ({ typed }) =>
    typed === '' ? t('errors.noCropNamedLine') : t('errors.noCropCalledTypedChoose', { typed }),
  'past-not-sown': () => t('errors.lineHasNoSowingDate'),
  'past-day-unread': ({ typed }) => t('errors.typedIsntDateBroteCan', { typed }),
  'past-day-cannot-be': ({ typed }) => t('errors.typedFutureOrBeforeSowing', { typed }),
  'past-no-number': ({ typed }) => t('errors.typedIsntNumberWithUnit', { typed }),
  'past-too-much': ({ typed }) => t('errors.typedTooMuchOneSowing', { typed }),
  'past-no-count': ({ typed }) => t('errors.typedIsntNumberTraysWrite', { typed }),
  'past-no-end': () => t('errors.lineDoesntSayWhenWas'),
  'past-cut-no-day': () => t('errors.hasYieldButNoDate')
};

/** A problem in words: what is wrong, and what to do. */
export const problemWords = ({ code, params }: Problem): string =>
  (SAY[code] as (of: Problem['params']) => string)(params);

/** What is to be said of each field: of several things that are wrong with one, the first. */
export function fieldWords(problems: readonly FieldProblem[]): Record<string, string> {
  const wrong: Record<string, string> = {};
  for (const { field, problem } of problems) wrong[field] ??= problemWords(problem);
  return wrong;
}
