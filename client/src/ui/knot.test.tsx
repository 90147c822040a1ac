import { fireEvent, render, screen } from '@testing-library/react';
import { Knot, KNOT_STATES, KnotMark } from './knot.tsx';
import { Thread } from './thread.tsx';

/** What is drawn, without any colour. */
const shapeOf = (html: string): string => html.replace(/(fill|stroke)="(?!none)[^"]*"/g, '');

test('states are told apart by shape alone', () => {
  const shapes = KNOT_STATES.map((state) => {
    const { container, unmount } = render(<KnotMark state={state} colour="moss" />);
    const shape = shapeOf(container.innerHTML);
    unmount();
    return shape;
  });
  expect(new Set(shapes).size).toBe(KNOT_STATES.length);
});

test.each(KNOT_STATES)('the control says whether it is tied: %s', (state) => {
  const onTie = jest.fn();
  render(<Knot state={state} colour="moss" label="Check off “Sweep”" onTie={onTie} />);
  const control = screen.getByRole('checkbox', { name: 'Check off “Sweep”' });
  expect(control.getAttribute('aria-checked')).toBe(String(state === 'done' || state === 'waits'));
  fireEvent.click(control);
  expect(onTie).toHaveBeenCalledTimes(1);
});

test('a long thread shows some and says how many more', () => {
  const strands = ['Ai', 'Pe', 'Oo', 'Ee', 'He', 'Ma', 'Le'].map((mark) => ({ key: mark, mark, state: 'seen' as const, colour: 'moss' as const }));
  render(<Thread strands={strands} each label="seven people" />);
  expect(screen.getByRole('img', { name: 'seven people' }).textContent).toContain('+3');
});
