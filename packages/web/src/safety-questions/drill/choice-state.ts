/** How one of several answers stands once one was chosen: the right one shows, and the chosen one where it is wrong. */
export function choiceState(answer: string, right: string, chosen: string | undefined): 'open' | 'right' | 'wrong' {
  if (chosen === undefined) return 'open';
  if (answer === right) return 'right';
  return answer === chosen ? 'wrong' : 'open';
}
