import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { evidenceQuery, narrowed, readAsk, writeAsk } from './ask';

test('a question goes into the address and comes back as it was', () => {
  const ask = readAsk(
    new URLSearchParams('by=CHAMBER&measure=COST&method=MEMBRANE&daysFrom=21&supplier=Hollin+Farm'),
  );
  expect(ask).toEqual({
    by: 'CHAMBER',
    measure: 'COST',
    filter: { method: 'MEMBRANE', daysFrom: '21', supplier: 'Hollin Farm' },
  });
  expect(readAsk(new URLSearchParams(writeAsk(ask)))).toEqual(ask);
});

test('an address that asks for nothing known asks for shrink by method', () => {
  expect(readAsk(new URLSearchParams('by=DAYS&measure=BEAUTY&cut=&other=1'))).toEqual({
    by: 'METHOD',
    measure: 'SHRINK',
    filter: {},
  });
});

test('a group is narrowed to by its own field, and where it has none it is not', () => {
  const ask = readAsk(new URLSearchParams('by=METHOD'));
  const facets: Schema['FacetView'][] = [
    { name: 'method', values: [{ value: 'MEMBRANE', label: 'Membrane', pieces: 3 }] },
  ];
  const group = (name: string) => ({ name }) as Schema['GroupView'];
  expect(narrowed(ask, group('Membrane'), facets)?.filter).toEqual({ method: 'MEMBRANE' });
  expect(narrowed(ask, group('Salt tray'), facets)).toBeNull();
  expect(narrowed({ ...ask, by: 'FAT_COVER' }, group('3 mm'), facets)).toBeNull();
});

test('the server is asked with numbers as numbers and what is not asked left out', () => {
  const ask = readAsk(
    new URLSearchParams('by=CUT&measure=DISCARD&bone=false&daysFrom=21&fatTo=5&person=Idris+Vale'),
  );
  expect(evidenceQuery(ask)).toEqual({
    by: 'CUT',
    measure: 'DISCARD',
    bone: false,
    daysFrom: 21,
    fatTo: 5,
    person: 'Idris Vale',
  });
});

test('an emptied field is no question', () => {
  const ask = readAsk(new URLSearchParams('by=CUT&supplier=Hollin+Farm'));
  expect(writeAsk({ ...ask, filter: { ...ask.filter, supplier: '' } })).toBe('by=CUT&measure=SHRINK');
});

test('bone is narrowed to by what the server calls it', () => {
  const facets: Schema['FacetView'][] = [
    {
      name: 'bone',
      values: [
        { value: 'true', label: 'on the bone', pieces: 4 },
        { value: 'false', label: 'boneless', pieces: 9 },
      ],
    },
  ];
  const ask = readAsk(new URLSearchParams('by=BONE'));
  expect(narrowed(ask, { name: 'boneless' } as Schema['GroupView'], facets)?.filter).toEqual({
    bone: 'false',
  });
});
