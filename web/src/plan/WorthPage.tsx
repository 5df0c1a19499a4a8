import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useMethods } from '../api/pieces';
import { useFirstPlan, useFirstWorth, useWorth } from '../api/plans';
import { Figure } from '../kit/Figure';
import { FormGrid } from '../kit/FormGrid';
import { DataTable } from '../kit/DataTable';
import { CutField } from '../kit/form/CutField';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { lastPaid } from './scenario';
import { firstWorth, worthBody, worthNames, type WayText, type WorthText } from './worth';

const Asked = fieldsOf<WorthText>();

/** Whether ageing oneself is worth it, against buying aged meat and against the fresh piece. */
export default function WorthPage() {
  const methods = useMethods();
  const plan = useFirstPlan();
  const first = useFirstWorth();
  if (!methods.data || !plan.data || !first.data) {
    return <Waiting failure={methods.error ?? plan.error ?? first.error} />;
  }
  return <Worth methods={methods.data} plan={plan.data} first={first.data} />;
}

interface Props {
  methods: Schema['MethodView'][];
  plan: Schema['FirstPlan'];
  first: Schema['WorthForm'];
}

function Worth({ methods, plan, first }: Props) {
  const units = useUnits();
  const form = useKeptForm<WorthText>('worth', () => firstWorth(first, units));
  const text = form.values;
  const body = worthBody(text, first, units);
  const worth = useWorth(body);
  return (
    <Page title="Worth it?">
      <Form
        form={form}
        failure={worth.error}
        names={worthNames}
        sx={{ display: 'grid', gap: 4, gridTemplateColumns: 'minmax(0, 1fr)' }}
      >
        <FormGrid maxWidth={640}>
          <CutField
            size="small"
            name="cutCode"
            required="Choose the cut."
            onPicked={(cut) => cut && form.change({ price: lastPaid(cut.code, plan, units) || text.price })}
          />
          <Asked.Weight size="small" name="weight" label="Weight of a piece" required />
          <Asked.Measure
            size="small"
            name="price"
            label={`Price of the meat a ${units.perWeightUnit}`}
            of="price"
            required
          />
          <Asked.Measure
            size="small"
            name="bought"
            label={`Aged steak to buy, a ${units.perWeightUnit}`}
            of="price"
            required
          />
          <Asked.Measure size="small" name="pieces" label="Pieces a year" of="number" required />
          <Asked.Check name="boneIn" label="On the bone" />
        </FormGrid>
        {body === null && (
          <Typography role="status">
            Say what the meat costs and what aged steak costs to buy, and it is worked out.
          </Typography>
        )}
        <ProblemNotice failure={worth.error} />
        {worth.data && <Answer worth={worth.data} pieces={text.pieces} />}
        <Ways ways={text.ways} methods={methods} />
      </Form>
    </Page>
  );
}

function Answer({ worth, pieces }: { worth: Schema['WorthView']; pieces: string }) {
  const units = useUnits();
  const best = worth.ways.filter(({ dries }) => dries).sort((one, other) => one.perKg - other.perKg)[0];
  if (!best) {
    return null;
  }
  const saves = best.savedAYear > 0;
  return (
    <Box component="section" aria-labelledby="answer" sx={{ display: 'grid', gap: 2 }}>
      <Typography id="answer" variant="h2">
        {saves
          ? `${best.label} saves ${units.money(best.savedAYear)} a year against buying`
          : `At ${pieces} pieces a year buying is cheaper, by ${units.money(-best.savedAYear)}`}
      </Typography>
      <Typography>
        Steak of the fresh piece costs {units.pricePer(worth.freshPerKg)}, bought aged{' '}
        {units.pricePer(worth.boughtPerKg)}.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(220px, 1fr))', gap: 3 }}>
        {worth.ways.map((way) => (
          <Box
            key={way.method}
            sx={{ borderTop: '3px solid', borderColor: way === best ? 'primary.main' : 'divider' }}
          >
            <Typography variant="h3" sx={{ mt: 1 }}>
              {way.label}, {way.days} days
            </Typography>
            <Figure name="Own steak costs" working={way.working} big>
              {units.pricePer(way.perKg)}
            </Figure>
            <Typography variant="body2">
              {units.pricePer(way.equipmentPerKg)} of it equipment and energy;{' '}
              {way.overFresh >= 0
                ? `${units.pricePer(way.overFresh)} over the fresh piece`
                : `${units.pricePer(-way.overFresh)} under the fresh piece`}
              . A piece gives {units.load(way.steakGrams)} of steak.
              {!way.dries && ' It grows tender and does not dry: no aged taste.'}
            </Typography>
            <Typography sx={{ fontWeight: 620, mt: 0.5 }}>
              {way.breakEven == null
                ? 'Never cheaper than buying: the piece alone costs more.'
                : way.breakEven < 1
                  ? 'Cheaper than buying from the first piece.'
                  : `Cheaper than buying from ${Math.ceil(way.breakEven)} pieces a year.`}
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              {way.restsOnPieces > 0
                ? `The shrink rests on ${way.restsOnPieces} finished pieces too.`
                : 'The shrink is an estimate until a piece was finished so.'}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const columns: [Exclude<keyof WayText, 'method'>, string][] = [
  ['days', 'days'],
  ['purchase', 'bought for'],
  ['life', 'lasts, years'],
  ['watts', 'draws, W'],
  ['atOnce', 'pieces at once'],
  ['materials', 'bag, salt a piece'],
];

interface WaysProps {
  ways: WayText[];
  methods: Schema['MethodView'][];
}

/** What each way needs; a refrigerator that runs anyway draws nothing more. */
function Ways({ ways, methods }: WaysProps) {
  return (
    <Box component="section" aria-labelledby="needs">
      <Typography id="needs" variant="h2" sx={{ mb: 0.5 }}>
        What each way needs
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1.5 }}>
        Put in your own. What runs anyway, as a kitchen’s refrigerator, draws nothing more. Written off
        evenly.
      </Typography>
      <DataTable list label="What each way needs" sx={{ '& td': { minWidth: 104 } }}>
        <thead>
          <tr>
            <th scope="col">way</th>
            {columns.map(([, name]) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ways.map((way, index) => {
            const label = methods.find(({ method }) => method === way.method)?.label ?? way.method;
            return (
              <tr key={way.method}>
                <th scope="row">{label}</th>
                {columns.map(([key, name]) => (
                  <td key={key}>
                    <Asked.Measure
                      size="small"
                      variant="standard"
                      name={`ways.${index}.${key}`}
                      ariaLabel={`${label}: ${name}`}
                      of="number"
                    />
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </DataTable>
    </Box>
  );
}
