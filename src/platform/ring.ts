/** Tones of one ring, in hertz, and how long each sounds, in seconds. */
const TONES = [587, 784, 988] as const;
const TONE_S = 0.18;
/** One ring and the quiet after it, in seconds. */
const RING_S = 2;

/** Rings until it is stopped; silent where the browser has no sound. @returns stops it */
export function ring(): () => void {
  if (typeof AudioContext === 'undefined') return () => undefined;
  const context = new AudioContext();
  const once = () => {
    TONES.forEach((hertz, i) => {
      const start = context.currentTime + i * TONE_S;
      const tone = new OscillatorNode(context, { type: 'triangle', frequency: hertz });
      const volume = new GainNode(context, { gain: 0 });
      volume.gain.setValueAtTime(0, start);
      volume.gain.linearRampToValueAtTime(0.2, start + 0.02);
      volume.gain.linearRampToValueAtTime(0, start + TONE_S);
      tone.connect(volume).connect(context.destination);
      tone.start(start);
      tone.stop(start + TONE_S);
    });
  };
  once();
  const timer = setInterval(once, RING_S * 1000);
  return () => {
    clearInterval(timer);
    void context.close();
  };
}
