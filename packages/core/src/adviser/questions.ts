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
  question('near', 'Could anyone have had to, being there?', {
    nobody: 'Nobody about',
    away: 'About, not close',
    close: 'Close by',
  }),
  question('help', 'Did you speak, or take a control?', { none: 'Neither', spoke: 'Spoke', control: 'Took a control' }),
  question('control', 'Was the car under control throughout?', { kept: 'Yes', lost: 'No' }),
  question('righted', 'Was it put right?', {
    looked: 'At once, looking first',
    unlooked: 'At once, not looking',
    late: 'Late',
    never: 'No',
  }),
  question('held-up', 'Were others held up?', {
    no: 'No',
    briefly: 'For a moment',
    phase: 'A whole green phase, or as long',
  }),
  question('speed', 'How fast?', { walking: 'Walking pace', usual: 'Usual speed', fast: 'Too fast' }),
  question('times', 'How many times today?', { once: 'Once', again: 'Two or three times', often: 'Again and again' }),
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
