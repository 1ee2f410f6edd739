import { t as say } from '@jasperwren/words/command';

/** How each command is called, and the sentence that says what it does. */
const calls = [
  ['judge FILE [--standard ID] [--json]', 'judgeDoes'],
  ['judge FILE --standard all', 'judgeAllDoes'],
  ['readiness FILE [--standard ID] [--school FILE] [--on DATE] [--seed N] [--json]', 'readinessDoes'],
  ['roads summary FILE [--json]', 'roadsSummaryDoes'],
  [
    'roads route FILE --from LAT,LON --to LAT,LON [--by distance|time] [--style instructor|device] [--json]',
    'roadsRouteDoes',
  ],
  ['roads plan FILE --from LAT,LON --minutes N [--want KIND=N] [--loops N] [--seed N] [--json]', 'roadsPlanDoes'],
  ['roads match FILE TRACE [--json]', 'roadsMatchDoes'],
  ['yard judge FILE [--standard ID] [--retest] [--json]', 'yardJudgeDoes'],
  ['yard simulate [--standard ID] [--seed N] [--slips CHANCE]', 'yardSimulateDoes'],
  ['yard send FILE --to ADDRESS [--pace N] [--run ID]', 'yardSendDoes'],
  ['motion plan FILE [--json]', 'motionPlanDoes'],
  ['motion setout FILE [--svg|--dxf|--json]', 'motionSetOutDoes'],
  ['motion rule FILE [--json]', 'motionRuleDoes'],
  [
    'motion stopping --speed N [--unit mph|km/h] [--surface S] [--reaction S] [--clutch-first S] [--json]',
    'motionStoppingDoes',
  ],
  ['backup FILE', 'backupDoes'],
  ['restore FILE', 'restoreDoes'],
  ['school NAME --lead NAME --email ADDRESS', 'schoolDoes'],
  ['recover ADDRESS', 'recoverDoes'],
  ['demo [FOLDER]', 'demoDoes'],
] as const;

/** Where what a command does begins; after a longer call it stands on the next line. */
const column = 49;

/** The list of the commands. */
export function usage(): string {
  return calls
    .map(([call, does]) => {
      const head = `jasperwren ${call}`;
      const gap = head.length < column - 1 ? ' '.repeat(column - head.length) : `\n${' '.repeat(column)}`;
      return head + gap + say(does);
    })
    .join('\n');
}
