import {
  categoryChosen,
  deskReducer,
  done,
  itemChosen,
  lingeredEnough,
  panelOpened,
  settlingChosen,
  shownCategory,
  stepBack,
} from './desk-slice';

const after = (...actions: Parameters<typeof deskReducer>[1][]) =>
  actions.reduce((state, action) => deskReducer(state, action), deskReducer(undefined, { type: 'opened' }));

describe('the two beats of the desk', () => {
  it('go from category to item to mark, and back to the start for the next one', () => {
    expect(after(categoryChosen('junctions'), itemChosen('junctions.observation'))).toMatchObject({
      category: 'junctions',
      item: 'junctions.observation',
    });
    expect(after(categoryChosen('junctions'), itemChosen('x'), done('Marked.'))).toMatchObject({ receipt: 'Marked.' });
    expect(after(categoryChosen('junctions'), done('Marked.')).category).toBeUndefined();
  });

  it('keep the category in sight for a moment, so that the mark is seen to land', () => {
    const marked = after(categoryChosen('junctions'), done('Marked.'));
    expect(shownCategory(marked)).toBe('junctions');
    expect(shownCategory(deskReducer(marked, categoryChosen('speed')))).toBe('speed');
    expect(shownCategory(deskReducer(marked, lingeredEnough()))).toBeUndefined();
    expect(shownCategory(deskReducer(marked, stepBack()))).toBeUndefined();
  });

  it('step back from the panel or the category first, and from settling last', () => {
    const settling = after(settlingChosen('pin'), categoryChosen('speed'));
    expect(deskReducer(settling, stepBack())).toMatchObject({ settling: 'pin' });
    expect(deskReducer(deskReducer(settling, stepBack()), stepBack()).settling).toBeUndefined();
    expect(after(panelOpened({ kind: 'end' }), stepBack()).panel).toBeUndefined();
  });
});
