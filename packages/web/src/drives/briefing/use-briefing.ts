import { t } from '@jasperwren/words/briefing';
import type { CheckResult } from '@jasperwren/core/drive/event';
import { isLastTry, usualGrade, type Asked } from '@jasperwren/core/marking/asked';
import type { BriefingPart, BriefingStep, EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useMemo } from 'react';
import { useDriveLog } from '../log/use-drive';

export type BriefingActions = ReturnType<typeof useBriefing>;

/** What can be done before moving off; every word goes into the log of the drive. */
export function useBriefing(driveId: string, standard: EffectiveStandard) {
  const { write, undo } = useDriveLog(driveId);
  return useMemo(() => {
    const say = (step: BriefingStep, result: CheckResult, why: { reason?: string; detail?: string } = {}) =>
      write({ type: 'check', check: step.code, result, ...why });
    const mark = async (item: string) => {
      const grade = usualGrade(standard, item);
      if (grade) await write({ type: 'mark', item, grade: grade.code });
    };
    return {
      say,
      undo,
      /** A step with the parts that were missed: each is marked where the standard has an item for it. */
      async finish(step: BriefingStep, missed: readonly BriefingPart[]): Promise<void> {
        const detail = missed.map(({ name }) => name).join('; ');
        await say(step, 'done', detail ? { detail: t('missedDetail', { detail }) } : {});
        for (const { item } of missed) if (item) await mark(item);
      },
      /** An answer at rest; the last wrong one is marked. */
      async answer(asked: Asked, right: boolean): Promise<void> {
        const { item } = asked.rule;
        await write({ type: 'answer', item, right });
        if (!right && isLastTry(asked)) await mark(item);
      },
      async skipAll(steps: readonly BriefingStep[], reason: string): Promise<void> {
        for (const step of steps) await say(step, 'skipped', { reason });
      },
      moveOff: () => write({ type: 'moved-off' }),
      end: (reason: string) => write({ type: 'ended', ending: 'abandoned', reason }),
    };
  }, [standard, write, undo]);
}
