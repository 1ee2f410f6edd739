import { useState } from 'react';

/** How many were right so far, and what was said of the last. */
export function useScore() {
  const [score, setScore] = useState({ right: 0, asked: 0 });
  const [told, setTold] = useState('');
  const settle = (right: boolean, words: string) => {
    setScore(({ right: before, asked }) => ({ right: before + Number(right), asked: asked + 1 }));
    setTold(words);
  };
  return { score, told, settle };
}
