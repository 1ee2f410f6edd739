import { longestVoiceMs, voiceTypes, type VoiceType } from '@jasperwren/contract/voices';

/** A recording as it is kept: its form, and the sound in base64 (RFC 4648). */
export interface Recorded {
  readonly type: VoiceType;
  readonly audio: string;
}

/** A recording under way. */
export interface Recording {
  /** Ends it; undefined where nothing was recorded. */
  readonly stop: () => Promise<Recorded | undefined>;
}

/**
 * Begins to record from the microphone, ten seconds at most.
 * @param onEnd is told when the time is up
 * @throws DOMException where the microphone is not there or not allowed; Error where this browser records nothing
 */
export async function record(onEnd: () => void): Promise<Recording> {
  const type = voiceTypes.find((one) => MediaRecorder.isTypeSupported(one));
  if (!type) throw new Error('no recorder');
  const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
  const recorder = new MediaRecorder(stream, { mimeType: type, audioBitsPerSecond: 32_000 });
  const chunks: Blob[] = [];
  recorder.addEventListener('dataavailable', ({ data }) => chunks.push(data));
  const ended = new Promise<void>((end) => recorder.addEventListener('stop', () => end(), { once: true }));
  recorder.start();
  const timer = setTimeout(onEnd, longestVoiceMs);
  return {
    async stop() {
      clearTimeout(timer);
      if (recorder.state !== 'inactive') recorder.stop();
      await ended;
      stream.getTracks().forEach((track) => track.stop());
      const whole = new Blob(chunks, { type });
      return whole.size > 0 ? { type, audio: await base64Of(whole) } : undefined;
    },
  };
}

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
}
