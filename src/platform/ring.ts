import type { Ringtone } from '@/core/card';

/** One sound of a ring: hertz, and when it begins and how long it lasts, in seconds. */
type Sound = readonly [hertz: number, startS: number, lengthS: number];

const SOUNDS: Readonly<
  Record<Ringtone, { readonly type: OscillatorType; readonly sounds: readonly Sound[] }>
> = {
  '': {
    type: 'triangle',
    sounds: [
      [587, 0, 0.18],
      [784, 0.18, 0.18],
      [988, 0.36, 0.18],
    ],
  },
  bell: {
    type: 'sine',
    sounds: [
      [1047, 0, 0.9],
      [1319, 0.25, 0.9],
    ],
  },
  wood: {
    type: 'triangle',
    sounds: [
      [330, 0, 0.07],
      [330, 0.2, 0.07],
      [262, 0.4, 0.09],
    ],
  },
  brook: {
    type: 'sine',
    sounds: [
      [523, 0, 0.09],
      [659, 0.08, 0.09],
      [784, 0.16, 0.09],
      [1047, 0.24, 0.09],
      [1319, 0.32, 0.16],
    ],
  },
  horn: { type: 'sawtooth', sounds: [[147, 0, 1.1]] },
};
/** One ring and the quiet after it, in seconds. */
const RING_S = 2;

/** Rings until it is stopped; silent where the browser has no sound. @returns stops it */
export function ring(name: Ringtone = ''): () => void {
  if (typeof AudioContext === 'undefined') return () => undefined;
  const context = new AudioContext();
  const { type, sounds } = SOUNDS[name];
  const once = () => {
    for (const [hertz, startS, lengthS] of sounds) {
      const start = context.currentTime + startS;
      const tone = new OscillatorNode(context, { type, frequency: hertz });
      const volume = new GainNode(context, { gain: 0 });
      volume.gain.setValueAtTime(0, start);
      volume.gain.linearRampToValueAtTime(0.2, start + 0.02);
      volume.gain.linearRampToValueAtTime(0, start + lengthS);
      tone.connect(volume).connect(context.destination);
      tone.start(start);
      tone.stop(start + lengthS);
    }
  };
  once();
  const timer = setInterval(once, RING_S * 1000);
  return () => {
    clearInterval(timer);
    void context.close();
  };
}

/** Lets a tone be heard once. */
export function ringOnce(name: Ringtone): void {
  const stop = ring(name);
  setTimeout(stop, (RING_S - 0.5) * 1000);
}
