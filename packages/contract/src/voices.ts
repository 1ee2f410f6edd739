import { IsBase64, IsIn, MaxLength, MinLength } from 'class-validator';

/** How a browser records a voice; each plays at least what it recorded. */
export const voiceTypes = ['audio/webm', 'audio/mp4', 'audio/ogg'] as const;
export type VoiceType = (typeof voiceTypes)[number];

/** So long may somebody talk with a pin, in milliseconds. */
export const longestVoiceMs = 10_000;

/** A few spoken words that belong to a pin. */
export class VoiceInput {
  @IsIn(voiceTypes) type!: VoiceType;

  /** The recording in base64 (RFC 4648). Ten seconds of speech take some 100 kB. */
  @IsBase64()
  @MinLength(4)
  @MaxLength(700_000)
  audio!: string;
}

/** The recording of a pin, as it was sent. */
export interface VoiceView {
  readonly pin: string;
  readonly type: VoiceType;
  readonly audio: string;
}
