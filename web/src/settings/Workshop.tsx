import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh, useHouseAddress } from '../api/house';
import { useWorkshop } from '../api/settings';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { Waiting } from '../kit/Page';
import { readNumber, useUnits, type Units } from '../kit/units';
import { columns, Part } from './Part';

type Settings = Schema['WorkshopSettings'];

type Price =
  'steakPriceMinorPerKg' | 'usableTrimPriceMinorPerKg' | 'fatPriceMinorPerKg' | 'bonePriceMinorPerKg';
type Money = 'labourMinorPerHour' | 'tariffMinorPerKwh';
type Whole = 'targetMarginPercent' | 'benchMinutesPerPiece' | 'benchSecondsPerSteak';
type Text = Record<
  'name' | 'currency' | 'zone' | 'publicAddress' | 'division' | 'secondsPerWeight' | Price | Money | Whole,
  string
>;

const prices: [Price, string][] = [
  ['steakPriceMinorPerKg', 'List price of steak'],
  ['usableTrimPriceMinorPerKg', 'Worth of usable trim'],
  ['fatPriceMinorPerKg', 'Worth of fat'],
  ['bonePriceMinorPerKg', 'Worth of bone'],
];
const sums: [Money, string][] = [
  ['labourMinorPerHour', 'Labour, per hour'],
  ['tariffMinorPerKwh', 'Electricity, per kWh'],
];
const wholes: [Whole, string][] = [
  ['targetMarginPercent', 'Target margin, %'],
  ['benchMinutesPerPiece', 'Minutes at the bench, a piece'],
  ['benchSecondsPerSteak', 'and seconds a steak'],
];

function textOf(settings: Settings, units: Units): Text {
  const shown = <K extends Price | Money | Whole>(fields: [K, string][], show: (value: number) => string) =>
    Object.fromEntries(fields.map(([key]) => [key, show(settings[key])])) as Record<K, string>;
  return {
    name: settings.name,
    currency: settings.currency,
    zone: settings.zone,
    publicAddress: settings.publicAddress ?? '',
    division: units.weightForField(settings.divisionGrams),
    secondsPerWeight: units.rateForField(settings.benchSecondsPerKg),
    ...shown(prices, units.priceForField),
    ...shown(sums, units.moneyForField),
    ...shown(wholes, String),
  };
}

function bodyOf(text: Text, settings: Settings, units: Units): Settings {
  const read = (fields: [keyof Text, string][], reader: (typed: string) => number | null) =>
    Object.fromEntries(fields.map(([key]) => [key, Math.round(reader(text[key]) ?? 0)]));
  return {
    ...settings,
    name: text.name,
    currency: text.currency.toUpperCase(),
    zone: text.zone,
    publicAddress: text.publicAddress,
    divisionGrams: units.readWeight(text.division) ?? 0,
    benchSecondsPerKg: units.readRate(text.secondsPerWeight) ?? 0,
    ...read(prices, units.readPrice),
    ...read(sums, units.readMoney),
    ...read(wholes, readNumber),
  };
}

const Shop = fieldsOf<Text>();

export function Workshop() {
  const workshop = useWorkshop();
  return workshop.data ? (
    <WorkshopForm key={workshop.data.version} settings={workshop.data} />
  ) : (
    <Waiting failure={workshop.error} />
  );
}

function WorkshopForm({ settings }: { settings: Settings }) {
  const units = useUnits();
  const house = useHouseAddress();
  const form = useKeptForm(`workshop ${settings.version}`, () => textOf(settings, units));
  const save = useMutation({
    mutationFn: (body: Settings) => answer(api.PUT('/api/workshop', { body })),
    onSuccess: refresh,
  });
  return (
    <Part
      title="Workshop"
      about="Its scale, and what things cost and fetch; every cost of steak rests on these."
    >
      <Form
        form={form}
        failure={save.error}
        names={{ divisionGrams: 'division', benchSecondsPerKg: 'secondsPerWeight' }}
        onChange={save.reset}
        onSubmit={() => save.mutate(bodyOf(form.hook.getValues(), settings, units))}
        sx={columns}
      >
        <Shop.Text name="name" label="Name" required />
        <Shop.Text name="currency" label="Currency" required />
        <Shop.Text name="zone" label="Time zone" required />
        <Shop.Text
          name="publicAddress"
          label="Public address of the house"
          placeholder="https://house.example"
          className="whole"
          most={200}
          helper={`As phones open it; it stands in links, on labels and in messages. Now: ${house.address}.`}
        />
        <Shop.Weight name="division" label="Scale division" required />
        {prices.map(([key, label]) => (
          <Shop.Measure
            key={key}
            name={key}
            label={`${label}, per ${units.perWeightUnit}`}
            of="price"
            required
          />
        ))}
        {sums.map(([key, label]) => (
          <Shop.Measure key={key} name={key} label={label} of="money" required />
        ))}
        {wholes.map(([key, label]) => (
          <Shop.Measure key={key} name={key} label={label} of="number" required />
        ))}
        <Shop.Measure
          name="secondsPerWeight"
          label={`and seconds a ${units.perWeightWord} of steak`}
          of="number"
          required
        />
        <Save busy={save.isPending} failure={save.error}>
          Save workshop
        </Save>
      </Form>
    </Part>
  );
}
