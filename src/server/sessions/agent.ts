const BROWSERS: readonly [RegExp, string][] = [
  [/\bEdgA?\//, 'Edge'],
  [/\bFirefox\/|\bFxiOS\//, 'Firefox'],
  [/\bChrome\/|\bCriOS\//, 'Chrome'],
  [/\bSafari\//, 'Safari']
];
const SYSTEMS: readonly [RegExp, string][] = [
  [/\biPhone\b/, 'iPhone'],
  [/\biPad\b/, 'iPad'],
  [/\bAndroid\b/, 'Android'],
  [/\bWindows\b/, 'Windows'],
  [/\bMac OS X\b/, 'Mac'],
  [/\bLinux\b/, 'Linux']
];

/** A browser's own description in a few words a person can tell it by; it proves nothing. */
export function agentWords(header: string | null): string {
  const find = (among: readonly [RegExp, string][]) => among.find(([sign]) => sign.test(header ?? ''))?.[1];
  const [browser, system] = [find(BROWSERS), find(SYSTEMS)];
  if (!browser && !system) return 'Another program';
  return [browser ?? 'A browser', system].filter(Boolean).join(' on ');
}
