import { houseDefault, setBySchool, type Sourced } from '@jasperwren/core/marking/provenance';
import { fireEvent, render, screen } from '@testing-library/react';
import { LetterEdit, NumberEdit, TextEdit } from './fields';

const field = () => screen.getByRole<HTMLInputElement>('textbox');
const type = (value: string) => fireEvent.change(field(), { target: { value } });
const wrong = () => field().getAttribute('aria-invalid') === 'true';

describe('a number of a standard', () => {
  const onChange = jest.fn<void, [Sourced]>();
  beforeEach(() => {
    onChange.mockClear();
    render(<NumberEdit label="Allowed" unit="faults" value={houseDefault(15, 'by hand')} onChange={onChange} />);
  });

  it('is named with its unit, and set by the school where it is changed', () => {
    expect(field().value).toBe('15');
    expect(screen.getByLabelText('Allowed, faults')).toBe(field());
    type('12,5');
    expect(onChange).toHaveBeenCalledWith(setBySchool(12.5));
  });

  it('stays in the field where it is none, says so, and changes nothing', () => {
    for (const text of ['', 'many', '-3', '1.2.3']) {
      type(text);
      expect(field().value).toBe(text);
      expect(wrong()).toBe(true);
      screen.getByText('A number, 0 or more.');
    }
    fireEvent.blur(field());
    expect(field().value).toBe('1.2.3');
    expect(onChange).not.toHaveBeenCalled();
    type('15');
    expect(wrong()).toBe(false);
    // What it was before is no change.
    expect(onChange).not.toHaveBeenCalled();
  });
});

it('a text that may not be empty is wrong while it is', () => {
  const { rerender } = render(<TextEdit label="Name" value=" " onChange={() => undefined} />);
  expect(wrong()).toBe(true);
  rerender(<TextEdit label="Name" value="" onChange={() => undefined} optional />);
  expect(wrong()).toBe(false);
});

it('a letter is the last one typed, as a capital; anything else is wrong', () => {
  const onChange = jest.fn();
  const { rerender } = render(<LetterEdit label="Letter" value="A" onChange={onChange} />);
  type('Ab');
  expect(onChange).toHaveBeenCalledWith('B');
  rerender(<LetterEdit label="Letter" value="7" onChange={onChange} />);
  expect(wrong()).toBe(true);
});
