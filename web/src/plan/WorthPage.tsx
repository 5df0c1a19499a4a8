import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useCuts, useLots } from '../api/lots';
import { useMethods } from '../api/pieces';
import { useWorth } from '../api/plans';
import { asCuts } from '../kit/choices';
import { useDraft } from '../kit/drafts';
import { Figure } from '../kit/Figure';
import { FormGrid } from '../kit/FormGrid';
import { DataTable } from '../kit/DataTable';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { lastPaid } from './scenario';
import { firstWorth, worthBody, type WayText, type WorthText } from './worth';

/** Whether ageing oneself is worth it, against buying aged meat and against the fresh piece. */
export default function WorthPage() {
  const cuts = useCuts();
  const methods = useMethods();
  const lots = useLots();
  if (!cuts.data || !methods.data || !lots.data) {
    return <Waiting failure={cuts.error ?? methods.error ?? lots.error} />;
  }
  return <Worth cuts={cuts.data} methods={methods.data} lots={lots.data} />;
}

interface Props {
  cuts: Schema['CutView'][];
  methods: Schema['MethodView'][];
  lots: Schema['LotLine'][];
}

function Worth({ cuts, methods, lots }: Props) {
  const units = useUnits();
  const [text, setText] = useDraft<WorthText>('worth', () => {
    const first = firstWorth(units);
    return { ...first, price: lastPaid(first.cutCode, lots, units) };
  });
  const worth = useWorth(worthBody(text, units));
  const change = (part: Partial<WorthText>) => setText((before) => ({ ...before, ...part }));
  const changeWay = (index: number, part: Partial<WayText>) =>
    setText((before) => ({
      ...before,
      ways: before.ways.map((way, each) => (each === index ? { ...way, ...part } : way)),
    }));
  const field = (key: 'price' | 'bought' | 'pieces', label: string) => (
    <TextField
      size="small"
      label={label}
      value={text[key]}
      onChange={(event) => change({ [key]: event.target.value })}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
  return (
    <Page title="Worth it?">
      <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        <FormGrid maxWidth={640}>
          <Autocomplete
            options={cuts}
            {...asCuts}
            value={cuts.find(({ code }) => code === text.cutCode) ?? null}
            onChange={(_, cut) =>
              cut && change({ cutCode: cut.code, price: lastPaid(cut.code, lots, units) || text.price })
            }
            disableClearable={false}
            renderInput={(params) => <TextField {...params} size="small" label="Cut" />}
            size="small"
          />
          <WeightField
            size="small"
            label="Weight of a piece"
            text={text.weight}
            onText={(weight) => change({ weight })}
          />
          {field('price', `Price of the meat a ${units.perWeightUnit}`)}
          {field('bought', `Aged steak to buy, a ${units.perWeightUnit}`)}
          {field('pieces', 'Pieces a year')}
          <FormControlLabel
            control={<Checkbox checked={text.boneIn} onChange={(_, boneIn) => change({ boneIn })} />}
            label="On the bone"
          />
        </FormGrid>
        {worthBody(text, units) === null && (
          <Typography role="status">
            Say what the meat costs and what aged steak costs to buy, and it is worked out.
          </Typography>
        )}
        <ProblemNotice failure={worth.error} />
        {worth.data && <Answer worth={worth.data} pieces={text.pieces} />}
        <Ways ways={text.ways} methods={methods} onChange={changeWay} />
      </Box>
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
            <Figure name="A kilogram of own steak" working={way.working} big>
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

const columns: [keyof WayText, string][] = [
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
  onChange: (index: number, part: Partial<WayText>) => void;
}

/** What each way needs; a refrigerator that runs anyway draws nothing more. */
function Ways({ ways, methods, onChange }: WaysProps) {
  return (
    <Box component="section" aria-labelledby="needs">
      <Typography id="needs" variant="h2" sx={{ mb: 0.5 }}>
        What each way needs
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1.5 }}>
        Put in your own. What runs anyway, as a kitchen’s refrigerator, draws nothing more. Written off
        evenly.
      </Typography>
      <DataTable label="What each way needs" sx={{ '& td': { minWidth: 104 } }}>
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
                    <TextField
                      size="small"
                      variant="standard"
                      value={way[key]}
                      onChange={(event) => onChange(index, { [key]: event.target.value })}
                      slotProps={{ htmlInput: { inputMode: 'decimal', 'aria-label': `${label}: ${name}` } }}
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
