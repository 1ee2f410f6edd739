let audio: AudioContext | undefined;

/** A short sound and vibration that says "taken", lower for what takes something back, high and twice for time running out. */
export function giveReceipt(kind: Receipt): void {
  // After the picture: the eye is faster than the ear.
  requestAnimationFrame(() => setTimeout(() => sound(kind)));
}

const sounds = {
  taken: { hertz: 880, seconds: 0.09, vibration: [25] },
  undone: { hertz: 440, seconds: 0.09, vibration: [15, 40, 15] },
  'nearly-over': { hertz: 1320, seconds: 0.4, vibration: [60, 60, 60] },
} as const;
type Receipt = keyof typeof sounds;

function sound(kind: Receipt): void {
  const { hertz, seconds, vibration } = sounds[kind];
  navigator.vibrate?.([...vibration]);
  try {
    audio ??= new AudioContext();
    const now = audio.currentTime;
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.frequency.value = hertz;
    volume.gain.setValueAtTime(0.06, now);
    volume.gain.exponentialRampToValueAtTime(0.0001, now + seconds);
    tone.connect(volume).connect(audio.destination);
    tone.start(now);
    tone.stop(now + seconds + 0.01);
  } catch {
    // No sound on this device: the screen says it too.
  }
}
