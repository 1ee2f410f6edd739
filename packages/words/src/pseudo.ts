import type { PostProcessorModule } from 'i18next';

/** The tag by which a browser asks for the language that no one speaks; what is not in it was not taken from here. */
export const pseudoLanguage = 'en-XA';

/** Sets brackets about every sentence, so that one that stands in the code itself is seen. */
export const pseudo: PostProcessorModule = {
  type: 'postProcessor',
  name: 'brackets',
  process: (text: string) => `⟦${text}⟧`,
};
