import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import { Problem } from '../../api/client';
import { show } from '../testing/server';
import { fieldsOf } from './fields';
import { Form } from './Form';
import { useKeptForm } from './keptForm';
import { refusedField } from './refused';
import { Save } from './Save';

interface Text {
  name: string;
  weight: string;
  price: string;
}

const F = fieldsOf<Text>();

function Example({ failure, sent }: { failure?: unknown; sent?: (text: Text) => void }) {
  const form = useKeptForm<Text>('example', () => ({ name: '', weight: '', price: '' }));
  return (
    <Form
      form={form}
      failure={failure}
      names={{ grams: 'weight' }}
      onSubmit={() => {
        sent?.(form.hook.getValues());
        form.clear();
      }}
    >
      <F.Text name="name" label="Name" required="Say what it is." />
      <F.Weight name="weight" label="Weight" />
      <F.Measure name="price" label="Price" of="price" />
      <Save busy={false} failure={failure}>
        Keep it
      </Save>
    </Form>
  );
}

const send = () => userEvent.click(screen.getByRole('button', { name: 'Keep it' }));

test('a form left half-filled is there on return, and begins afresh once it was sent', async () => {
  show(<Example />);
  await userEvent.type(screen.getByRole('textbox', { name: 'Name' }), 'ribeye');
  cleanup();

  show(<Example />);
  expect(screen.getByRole('textbox', { name: 'Name' })).toHaveValue('ribeye');
  await send();
  expect(screen.getByRole('textbox', { name: 'Name' })).toHaveValue('');
  cleanup();

  show(<Example />);
  expect(screen.getByRole('textbox', { name: 'Name' })).toHaveValue('');
});

test('only what is typed counts as a change: beginning afresh leaves what was said of it', async () => {
  const changed = vi.fn();
  function Answered() {
    const form = useKeptForm<Text>(null, () => ({ name: '', weight: '', price: '' }));
    return (
      <Form form={form} failure={null} onChange={changed} onSubmit={form.clear}>
        <F.Text name="name" label="Name" />
        <Save busy={false} failure={null}>
          Keep it
        </Save>
      </Form>
    );
  }
  show(<Answered />);
  await userEvent.type(screen.getByRole('textbox', { name: 'Name' }), 'rib');
  expect(changed).toHaveBeenCalledTimes(3);
  await send();
  expect(screen.getByRole('textbox', { name: 'Name' })).toHaveValue('');
  expect(changed).toHaveBeenCalledTimes(3);
});

test('what is needed or cannot be read is said at its field, and nothing is sent', async () => {
  const sent = vi.fn();
  show(<Example sent={sent} />);
  await userEvent.type(screen.getByRole('textbox', { name: 'Price' }), 'dear');
  await send();

  expect(sent).not.toHaveBeenCalled();
  expect(screen.getByRole('textbox', { name: 'Name' })).toHaveAccessibleDescription('Say what it is.');
  expect(screen.getByRole('textbox', { name: 'Name' })).toHaveFocus();
  expect(screen.getByRole('textbox', { name: 'Name' })).toBeRequired();
  expect(screen.getByRole('textbox', { name: 'Price' })).toHaveAccessibleDescription(
    'Not a price. Write it like 21.50.',
  );

  await userEvent.type(screen.getByRole('textbox', { name: 'Name' }), 'strip');
  await userEvent.clear(screen.getByRole('textbox', { name: 'Price' }));
  await send();
  expect(sent).toHaveBeenCalledWith({ name: 'strip', weight: '', price: '' });
});

test('a refusal of the server stands at its field, though the field goes by another name there', async () => {
  const failure = new Problem(422, { field: 'grams', detail: 'The weight is too much.' });
  show(<Example failure={failure} />);
  expect(screen.getByRole('textbox', { name: 'Weight' })).toHaveAccessibleDescription(
    'The weight is too much.',
  );
});

test('a refusal of a part of a list finds its place in the list', () => {
  const failure = new Problem(422, { field: 'arms[1].setUp.targetDays', detail: 'At least one day.' });
  expect(refusedField(failure, { 'arms.*.setUp.targetDays': 'arms.*.days' })).toEqual({
    name: 'arms.1.days',
    sentence: 'At least one day.',
  });
});

test('a question is no refusal', () => {
  const asked = new Problem(422, {
    field: 'grams',
    questions: [{ id: 'odd', sentence: 'Really?', needsReason: false, field: 'grams' }],
  });
  expect(refusedField(asked, {})).toBeNull();
});

test('half a day is said to be none, and nothing is sent without it', async () => {
  const sent = vi.fn();
  function Dated() {
    const form = useKeptForm<{ on: string }>(null, () => ({ on: '' }));
    const D = fieldsOf<{ on: string }>();
    return (
      <Form form={form} failure={null} onSubmit={sent}>
        <D.Day name="on" label="Packed on" />
        <Save busy={false} failure={null}>
          Keep it
        </Save>
      </Form>
    );
  }
  show(<Dated />);
  await userEvent.click(await screen.findByRole('spinbutton', { name: 'Day' }, { timeout: 5000 }));
  await userEvent.keyboard('28');
  await send();
  expect(screen.getByText('Not a whole day.')).toBeVisible();
  expect(sent).not.toHaveBeenCalled();
});
