import { IsIn, IsString, Matches, MaxLength } from 'class-validator';

/** How a browser records a voice; each plays at least what it recorded. */
export const voiceTypes = ['audio/webm', 'audio/mp4', 'audio/ogg'] as const;
export type VoiceType = (typeof voiceTypes)[number];

/** So long may somebody talk with a pin, in milliseconds. */
export const longestVoiceMs = 10_000;

/** A few spoken words that belong to a pin. */
export class VoiceInput {
  @IsIn(voiceTypes) type!: VoiceType;

  /** The recording in base64 (RFC 4648). Ten seconds of speech take some 100 kB. */
  @IsString()
  @MaxLength(700_000)
  @Matches(/^(?:[A-Za-z0-9+/]{4})+(?:[A-Za-z0-9+/]{2}==|[A-Za-z0-9+/]{3}=)?$|^[A-Za-z0-9+/]{2,3}={1,2}$/)
  audio!: string;
}

/** The recording of a pin, as it was sent. */
export interface VoiceView {
  readonly pin: string;
  readonly type: VoiceType;
  readonly audio: string;
}
