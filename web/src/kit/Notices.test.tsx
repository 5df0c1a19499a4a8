import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import { Problem } from '../api/client';
import { ProblemNotice, Questions } from './Notices';
import { show } from './testing/server';

const question = (needsReason: boolean) => ({
  id: 'overload',
  field: 'chamberId',
  sentence: 'It would carry too much.',
  needsReason,
});

test('what needs a reason is not kept before there is one', async () => {
  const answered = vi.fn();
  const asks = new Problem(422, { questions: [question(true)] });
  show(<Questions failure={asks} busy={false} onAnswer={answered} />);
  const keep = screen.getByRole('button', { name: 'Keep it' });
  expect(keep).toBeDisabled();
  await userEvent.type(screen.getByLabelText('Reason'), '  one day only ');
  await userEvent.click(keep);
  expect(answered).toHaveBeenCalledWith({ overload: 'one day only' });
});

test('what is only odd is kept with one touch, and whoever is asked is brought to it', async () => {
  const answered = vi.fn();
  const asks = new Problem(422, { questions: [question(false)] });
  show(<Questions failure={asks} busy={false} onAnswer={answered} />);
  expect(screen.getByRole('alertdialog')).toHaveFocus();
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  expect(answered).toHaveBeenCalledWith({ overload: '' });
});

test('a refusal is said, a question is not said twice, and a fault of ours says that nothing is lost', () => {
  show(
    <>
      <ProblemNotice failure={new Problem(409, { detail: 'The piece was pulled already.' })} />
      <ProblemNotice failure={new Problem(422, { detail: 'asked', questions: [question(false)] })} />
      <ProblemNotice failure={new Error('x is undefined')} />
    </>,
  );
  const said = screen.getAllByRole('alert').map((each) => each.textContent);
  expect(said).toEqual([
    'The piece was pulled already.',
    'Something went wrong here. What you typed is kept.',
  ]);
});
