/** One tap: a question about what happened, with its answers. */
export interface AdviserQuestion {
  readonly code: string;
  readonly text: string;
  readonly answers: readonly { readonly code: string; readonly text: string }[];
}

const question = (code: string, text: string, answers: Readonly<Record<string, string>>): AdviserQuestion => ({
  code,
  text,
  answers: Object.entries(answers).map(([answer, words]) => ({ code: answer, text: words })),
});

/** Asked of every mark, the most telling first. */
export const commonQuestions: readonly AdviserQuestion[] = [
  question('affected', 'Did anyone have to slow, stop or swerve?', { no: 'No', yes: 'Yes' }),
  question('near', 'Could it have affected another road user?', {
    nobody: 'No one nearby',
    away: 'Nearby, not close',
    close: 'Close',
  }),
  question('help', 'Did you prompt or take control?', { none: 'Neither', spoke: 'Prompted', control: 'Took control' }),
  question('control', 'Was the car under control throughout?', { kept: 'Yes', lost: 'No' }),
  question('righted', 'Was it corrected?', {
    looked: 'At once, after checking',
    unlooked: 'At once, without checking',
    late: 'Late',
    never: 'No',
  }),
  question('held-up', 'Were others held up?', {
    no: 'No',
    briefly: 'For a moment',
    phase: 'A whole green light, or as long',
  }),
  question('speed', 'How fast?', { walking: 'Walking pace', usual: 'Usual speed', fast: 'Too fast' }),
  question('times', 'How many times today?', { once: 'Once', again: 'Two or three times', often: 'Repeatedly' }),
];

const whichWas = (answers: Readonly<Record<string, string>>) => question('which', 'Which was it?', answers);

/** Asked first where a behaviour covers things that weigh differently. */
const ownQuestions: Readonly<Record<string, AdviserQuestion>> = {
  'controls.parking-brake': whichWas({
    noise: 'Ratchet noise, button not held',
    unset: 'Not set',
    on: 'Left on moving',
  }),
  'controls.gears': whichWas({
    skipped: 'Gears skipped on the way down',
    low: 'Turn or stretch in too low a gear',
    coasting: 'Coasting',
  }),
  'emergency-stop.footwork': whichWas({ 'clutch-first': 'Clutch before brake', both: 'Both together' }),
  'signs.amber': whichWas({
    hard: 'Hard braking past the point of no return',
    through: 'Went on and could have stopped',
  }),
  'signs.lights': whichWas({ red: 'Through a red light', slept: 'Did not see the green' }),
  'junctions.cutting': whichWas({ corner: 'Clipped the corner', 'other-side': 'Over onto the other side' }),
  'roundabouts.signal': whichWas({ both: 'One side first, then the other', none: 'None', wrong: 'The wrong one' }),
  'crossings.side-road': whichWas({ carried: 'Did not wait', unsafe: 'Stopping would have endangered others' }),
  'position.one-way': whichWas({ 'cut-back': 'Wrong lane, then back across', lane: 'Wrong lane only' }),
};

/** The questions for a behaviour, the most telling first. */
export function questionsFor(behaviour: string): readonly AdviserQuestion[] {
  const own = ownQuestions[behaviour];
  return own ? [own, ...commonQuestions] : commonQuestions;
}
