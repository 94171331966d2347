/** Seconds between two strokes of the bell. */
const EVERY_S = 4;

/**
 * The bell of the timers: two soft tones and, on a phone, a buzz. Browsers let a page sound only after it
 * was touched once, so it is woken by the first touch.
 */
export class Ring {
  private audio: AudioContext | null = null;
  private striking: ReturnType<typeof setInterval> | null = null;

  /** Called on any touch of the page. */
  wake(): void {
    this.audio ??= new AudioContext();
    void this.audio.resume();
  }

  /** Rings until it is stopped; ringing already, it goes on. */
  start(): void {
    if (this.striking !== null) return;
    this.strike();
    this.striking = setInterval(() => this.strike(), EVERY_S * 1000);
  }

  stop(): void {
    if (this.striking === null) return;
    clearInterval(this.striking);
    this.striking = null;
  }

  private strike(): void {
    if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([250, 120, 250]);
    if (this.audio?.state !== 'running') return;
    this.tone(660, 0);
    this.tone(880, 0.28);
  }

  private tone(hertz: number, afterS: number): void {
    const { audio } = this;
    if (!audio) return;
    const [oscillator, loudness] = [audio.createOscillator(), audio.createGain()];
    const from = audio.currentTime + afterS;
    oscillator.frequency.value = hertz;
    loudness.gain.setValueAtTime(0, from);
    loudness.gain.linearRampToValueAtTime(0.25, from + 0.02);
    loudness.gain.exponentialRampToValueAtTime(0.001, from + 0.6);
    oscillator.connect(loudness).connect(audio.destination);
    oscillator.start(from);
    oscillator.stop(from + 0.65);
  }
}
