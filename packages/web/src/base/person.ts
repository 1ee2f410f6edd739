import { createAction } from '@reduxjs/toolkit';

/** Somebody has signed out, or somebody else has come: nothing of theirs stays in view. */
export const personLeft = createAction('personLeft');
