import { NO_DOME, type CoverKind, type Path } from './path.ts';

/**
 * Two crops side by side under one cover: the gentler weight, the thirstier misting, uncovered and in light when the slower is
 * ready.
 * @param besideD days that the other takes longer to root
 */
export function sharedPath(own: Path, other: Path, besideD: number): Path {
  const order: readonly CoverKind[] = ['none', 'clear', 'lid', 'stacked', 'weight'];
  const gentler = Math.min(own.pressGCm2, other.pressGCm2);
  const bearsGCm2 = [0, 1].map((end) =>
    Math.min(own.bearsGCm2[end]!, other.bearsGCm2[end]!)
  ) as unknown as Path['bearsGCm2'];
  const pressed = { pressGCm2: gentler, bearsGCm2 };
  // Seed that needs darkness decides over a lid; weight only where both bear it.
  const covers = [own.cover, other.cover].sort((a, b) => order.indexOf(a) - order.indexOf(b));
  const cover =
    gentler > 0 ? covers[0]! : covers[1] === 'weight' || covers[1] === 'stacked' ? 'lid' : covers[1]!;
  const pressedD = Math.max(own.pressedD, other.pressedD);
  const mists = (['never', 'daily', 'twice'] as const).findLast(
    (one) => own.mists === one || other.mists === one
  )!;
  const pressesLate = gentler > 0 && (own.pressesLate || other.pressesLate);
  const shared = { ...own, cover, ...pressed, pressesLate, pressedD, besideD: Math.max(0, besideD), mists };
  if (own.lightFrom === null || other.lightFrom === null)
    return { ...shared, ...NO_DOME, darkDays: null, blackout: true, lightFrom: null };
  const blackout = own.blackout || other.blackout;
  const isOpen = cover === 'none' || cover === 'clear';
  const darkDays = isOpen ? null : (own.darkDays ?? other.darkDays);
  const { domeDays, domeCm, domeStemCm, domeD21 } = (own.domeDays ?? own.domeCm) ? own : other;
  return {
    ...shared,
    ...(blackout || cover === 'clear' ? { domeDays, domeCm, domeStemCm, domeD21 } : NO_DOME),
    darkDays,
    blackout,
    lightFrom: isOpen ? 'sown' : darkDays !== null ? 'counted' : blackout ? 'lightReady' : 'rooted'
  };
}
