import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { serverAnswers, show } from '../kit/testing/server';
import { MyUnits } from './MyUnits';

test('two things chosen one upon the other are both kept', async () => {
  const sent = serverAnswers({ status: 200, body: {} }, { status: 200, body: {} });
  show(
    <MyUnits
      preferences={{
        weightUnit: 'KG',
        temperatureUnit: 'CELSIUS',
        lengthUnit: 'MM',
        theme: 'SYSTEM',
        figures: 'DEVICE',
      }}
    />,
  );
  await userEvent.click(screen.getByLabelText('Weights'));
  await userEvent.click(await screen.findByRole('option', { name: 'pounds and ounces' }));
  await userEvent.click(screen.getByLabelText('Temperatures'));
  await userEvent.click(await screen.findByRole('option', { name: '°F' }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]?.body).toMatchObject({ weightUnit: 'LB_OZ', temperatureUnit: 'FAHRENHEIT' });
});
