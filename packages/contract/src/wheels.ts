import { t } from '@jasperwren/words/fields';
import { readKept, type KeptBody, type KeptKind, keptKinds } from '@jasperwren/motion/read-spec';
import { IsIn, IsString, MaxLength } from 'class-validator';
import type { FieldProblem } from './parse-input';
import { IsShortCode, IsWords } from './texts';

/** The longest a kept thing may be, in characters of its JSON. */
const mostLetters = 60_000;

/** A vehicle, a ground or a question to the planner that the school keeps by a name. */
export class KeptInput {
  /** Made by the sender; what was kept under it before is replaced. */
  @IsShortCode() id!: string;
  @IsIn(keptKinds) kind!: KeptKind;
  @IsWords(60, t('nameIt')) name!: string;
  /** As a file holds it: JSON. */
  @IsString() @MaxLength(mostLetters) body!: string;

  static problemsIn({ kind, body }: KeptInput): readonly FieldProblem[] {
    const read = readKept(kind, body);
    return 'problems' in read ? read.problems.map((message) => ({ field: 'body', message })) : [];
  }
}

export interface KeptView {
  readonly id: string;
  readonly kind: KeptKind;
  readonly name: string;
  readonly body: KeptBody;
  readonly keptAt: string;
}
