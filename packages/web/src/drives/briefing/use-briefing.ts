import type { CheckResult } from '@jasperwren/core/drive/event';
import { isLastTry, usualGrade, type Asked } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { BriefingPart, BriefingStep } from '@jasperwren/core/marking/briefing';
import type { UsualReason, Why } from '@jasperwren/core/drive/why';
import { useMemo } from 'react';
import { useDriveLog } from '../log/use-drive';

/** Why steps are usually left out. */
export const skipReasons = ['earlier-lesson', 'not-today', 'no-time'] as const;

export type BriefingActions = ReturnType<typeof useBriefing>;

/** What can be done before moving off; every word goes into the log of the drive. */
export function useBriefing(driveId: string, standard: EffectiveStandard) {
  const { write, undo } = useDriveLog(driveId);
  return useMemo(() => {
    const say = (
      step: BriefingStep,
      result: CheckResult,
      why: Partial<{ because: UsualReason; reason: string; missed: readonly string[] }> = {},
    ) => write({ type: 'check', check: step.code, result, ...why });
    const mark = async (item: string) => {
      const grade = usualGrade(standard, item);
      if (grade) await write({ type: 'mark', item, grade: grade.code });
    };
    return {
      say,
      undo,
      /** A step with the parts that were missed: each is marked where the standard has an item for it. */
      async finish(step: BriefingStep, missed: readonly BriefingPart[]): Promise<void> {
        await say(step, 'done', missed.length > 0 ? { missed: missed.map(({ name }) => name) } : {});
        for (const { item } of missed) if (item) await mark(item);
      },
      /** An answer at rest; the last wrong one is marked. */
      async answer(asked: Asked, right: boolean, question?: string): Promise<void> {
        const { item } = asked.rule;
        await write({ type: 'answer', item, right, ...(question && { question }) });
        if (!right && isLastTry(asked)) await mark(item);
      },
      async skipAll(steps: readonly BriefingStep[], why: Why): Promise<void> {
        for (const step of steps) await say(step, 'skipped', why);
      },
      moveOff: () => write({ type: 'moved-off' }),
      end: (because: UsualReason) => write({ type: 'ended', ending: 'abandoned', because }),
    };
  }, [standard, write, undo]);
}
