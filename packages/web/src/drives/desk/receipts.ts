let audio: AudioContext | undefined;

/** A short sound and vibration that says "taken", lower for what takes something back. */
export function giveReceipt(kind: 'taken' | 'undone'): void {
  // After the picture: the eye is faster than the ear.
  requestAnimationFrame(() => setTimeout(() => sound(kind)));
}

function sound(kind: 'taken' | 'undone'): void {
  navigator.vibrate?.(kind === 'taken' ? 25 : [15, 40, 15]);
  try {
    audio ??= new AudioContext();
    const now = audio.currentTime;
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.frequency.value = kind === 'taken' ? 880 : 440;
    volume.gain.setValueAtTime(0.06, now);
    volume.gain.exponentialRampToValueAtTime(0.0001, now + 0.09);
    tone.connect(volume).connect(audio.destination);
    tone.start(now);
    tone.stop(now + 0.1);
  } catch {
    // No sound on this device: the screen says it too.
  }
}
