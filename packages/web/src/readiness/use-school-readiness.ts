import { useState } from 'react';
import { api } from '../base/api';

const askAgainMs = 2000;

/** The judgement about every learner, asked for again while the server still works on some. */
export function useSchoolReadiness() {
  const [pollingInterval, setPollingInterval] = useState(0);
  const answer = api.useSchoolReadinessQuery(undefined, { pollingInterval });
  const wanted = (answer.data?.pending ?? 0) > 0 ? askAgainMs : 0;
  // Set while drawing: it follows from the answer alone.
  if (wanted !== pollingInterval) setPollingInterval(wanted);
  return answer;
}
