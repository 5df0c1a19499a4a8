import { expect, test } from 'vitest';
import { buildUnits } from '../kit/reader';
import { differ, LATER, lotNow, missing, plainArm, trialBody, type TrialText } from './draft';

const units = buildUnits('KG', false, false, 'EUR');

const trial = (part: Partial<TrialText> = {}): TrialText => ({
  question: 'Does honey change the shrink?',
  factor: 'TREATMENT',
  measure: 'SHRINK',
  waitTogether: false,
  lotId: 'lot',
  hungOn: '2026-03-02',
  parts: ['2', '2.01'],
  arms: [plainArm('Plain', true, 'room', []), plainArm('Honey', false, 'room', [])],
  ...part,
});

test('what no single field shows is missing is said, and nothing once all is there', () => {
  expect(missing(trial({ parts: ['4'] }))).toBe('Cut the lot into a part for every arm at least.');
  expect(missing(trial({ lotId: '' }))).toBe('Give every arm a piece at least.');
  expect(missing(trial({ lotId: LATER }))).toContain('There is no lot to split.');
  expect(missing(trial())).toBeNull();
});

test('a trial of pieces that hang sends them and no set-up; one of a lot the other way round', () => {
  const [plain, honey] = trial().arms;
  const hanging = trialBody(
    trial({
      lotId: '',
      arms: [plain, honey].flatMap((arm) => (arm ? [{ ...arm, pieces: [{ id: 'a', tag: '41A' }] }] : [])),
    }),
    units,
  );
  expect(hanging.lotId).toBeUndefined();
  expect(hanging.parts).toEqual([]);
  expect(hanging.arms[0]).toMatchObject({ pieces: ['a'], setUp: undefined });
  const split = trialBody(trial(), units);
  expect(split.parts).toEqual([2000, 2010]);
  expect(split.arms[1]).toMatchObject({ pieces: [], setUp: { targetDays: 28, chamberId: 'room' } });
});

test('arms that differ in a field are found by it', () => {
  const arms = trial().arms.map((arm, index) => ({ ...arm, days: index === 0 ? '28' : '38' }));
  expect(differ(arms, (arm) => arm.days)).toBe(true);
  expect(differ(arms, (arm) => arm.chamberId)).toBe(false);
});

test('a draft keeps its lot while that is whole, takes the first there is after, and waits where there is none', () => {
  expect(lotNow('b', [{ subject: { id: 'a' } }, { subject: { id: 'b' } }])).toBe('b');
  expect(lotNow('split', [{ subject: { id: 'a' } }])).toBe('a');
  expect(lotNow(LATER, [{ subject: { id: 'a' } }])).toBe('a');
  expect(lotNow(LATER, [])).toBe(LATER);
  expect(lotNow('', [{ subject: { id: 'a' } }])).toBe('');
});

test('an arm that is kept fresh is sent without anything of the hanging', () => {
  const arms = trial().arms.map((arm, index) => ({ ...arm, fresh: index === 0 }));
  expect(trialBody(trial({ arms }), units).arms[0]?.setUp).toEqual({
    fresh: true,
    consumablesMinor: 0,
    treatments: [],
  });
});
