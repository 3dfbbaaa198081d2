/** Between two strokes of the bell, ms. */
const EVERY_MS = 3000;
/** Two tones, a fifth apart, Hz: heard over running water, and unlike a telephone. */
const TONES = [880, 1320];
const TONE_S = 0.22;

let context: AudioContext | null = null;

/** A browser makes no sound before it was touched once: from then on this page can ring. */
export function readyToRing(): () => void {
  const ready = (): void => {
    context ??= new AudioContext();
    void context.resume();
  };
  if (navigator.userActivation?.hasBeenActive) ready();
  addEventListener('pointerdown', ready);
  addEventListener('keydown', ready);
  return () => {
    removeEventListener('pointerdown', ready);
    removeEventListener('keydown', ready);
  };
}

let ringing = 0;
let timer: ReturnType<typeof setInterval> | undefined;

/** Rings, and says so in the title of the page, until the returned function is called; for several things at once it is one bell. */
export function ring(): () => void {
  ringing += 1;
  if (ringing === 1) {
    const before = document.title;
    document.title = '● Due now';
    stroke();
    timer = setInterval(stroke, EVERY_MS);
    stop = () => {
      document.title = before;
      clearInterval(timer);
    };
  }
  return () => {
    ringing -= 1;
    if (ringing === 0) stop();
  };
}

let stop = (): void => undefined;

function stroke(): void {
  if (context?.state !== 'running') return;
  for (const [i, frequency] of TONES.entries()) tone(context, frequency, context.currentTime + i * TONE_S);
}

function tone(into: AudioContext, frequency: number, at: number): void {
  const oscillator = into.createOscillator();
  const volume = into.createGain();
  oscillator.frequency.value = frequency;
  volume.gain.setValueAtTime(0.3, at);
  volume.gain.exponentialRampToValueAtTime(0.001, at + TONE_S);
  oscillator.connect(volume).connect(into.destination);
  oscillator.start(at);
  oscillator.stop(at + TONE_S);
}
