import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { MomentInput } from './moment-input.tsx';

function Day({ kind = 'date' as 'date' | 'time' }) {
  const [value, setValue] = useState('');
  return <MomentInput label="Day" kind={kind} value={value} onChange={setValue} />;
}
const typed = (value: string): string => {
  render(<Day />);
  const field = screen.getByLabelText('Day') as HTMLInputElement;
  // the browser gives each state of the year while it is typed
  fireEvent.change(field, { target: { value } });
  expect(field.value).toBe(value);
  fireEvent.blur(field);
  return field.value;
};

test('a year of two figures is one of this century, once it is typed', () => expect(typed('0026-12-31')).toBe('2026-12-31'));
test('a whole year stays as it is', () => expect(typed('2031-12-31')).toBe('2031-12-31'));
test('an empty day stays empty', () => {
  render(<Day />);
  const field = screen.getByLabelText('Day') as HTMLInputElement;
  fireEvent.blur(field);
  expect(field.value).toBe('');
});
