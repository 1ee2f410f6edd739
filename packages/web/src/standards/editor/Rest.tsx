import { t } from '@jasperwren/words/editor';
import { Touch } from './Touch';

/** What every phrase has. */
export interface Base {
  /** What the phrase says, for those who do not see the sentence around it. */
  readonly label: string;
}

interface RestProps extends Base {
  readonly shown: string;
  /** Nothing is said yet: what stands there is an invitation. */
  readonly empty: boolean;
  readonly onTouch: (at: HTMLElement) => void;
  readonly opensMenu?: boolean;
}

/** A phrase at rest: underlined words that are changed where they stand. */
export const Rest = ({ label, shown, empty, ...touch }: RestProps) => (
  <Touch kind={empty ? 'empty' : 'phrase'} label={t('phraseIs', { label, is: shown })} {...touch}>
    {shown}
  </Touch>
);
