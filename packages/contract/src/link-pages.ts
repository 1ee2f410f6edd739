/** The pages that a link opens for whoever has it: what stands in place of `:token` is known to nobody else. */
export const linkPages = {
  debrief: '/shared/:token',
  rehearsal: '/rehearse/:token',
  password: '/password/:token',
} as const;

/** The address of such a page. */
export const linkTo = (page: keyof typeof linkPages, token: string): string => linkPages[page].replace(':token', token);
