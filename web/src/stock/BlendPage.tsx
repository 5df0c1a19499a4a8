import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useBlend, useStock } from '../api/stock';
import { useDraft } from '../kit/drafts';
import { DataTable } from '../kit/DataTable';
import { Caution, ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useDebouncedValue } from '../kit/debounced';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import {
  blendBody,
  boughtMeat,
  firstBlend,
  sourceOf,
  usedOf,
  type BlendText,
  type SourceText,
} from './blend';
import { MakeIt } from './MakeIt';

/** How long typing pauses before it is worked out again. */
const SETTLED_MS = 300;

/** The cheapest grind of what is packed and what is bought, and how much of each to weigh. */
export default function BlendPage() {
  const stock = useStock();
  if (!stock.data) {
    return <Waiting failure={stock.error} />;
  }
  return (
    <Page title="Blend a grind">
      <Mixing packs={stock.data.packs.filter(({ content }) => content === 'TRIM' || content === 'FAT')} />
    </Page>
  );
}

function Mixing({ packs }: { packs: Schema['PackView'][] }) {
  const units = useUnits();
  const [text, setText, clear] = useDraft<BlendText>('blend', firstBlend);
  const sources = packs.map((pack) => sourceOf(pack, text));
  const settled = useDebouncedValue(JSON.stringify(blendBody(text, sources, units)), SETTLED_MS);
  const blend = useBlend(JSON.parse(settled) as Schema['BlendForm'] | null);
  const change = (part: Partial<BlendText>) => setText((before) => ({ ...before, ...part }));
  const setBought = (id: string, part: Partial<SourceText>) =>
    change({ bought: text.bought.map((each) => (each.id === id ? { ...each, ...part } : each)) });
  const percentField = (key: 'lean' | 'crust' | 'aged', label: string) => (
    <TextField
      size="small"
      label={label}
      value={text[key]}
      onChange={(event) => change({ [key]: event.target.value })}
      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
    />
  );
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 380px' },
        gap: { xs: 3, md: 6 },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' }, gap: 1.5 }}>
          <WeightField
            size="small"
            label="Batch"
            text={text.weight}
            onText={(weight) => change({ weight })}
          />
          {percentField('lean', 'Lean, %')}
          {percentField('crust', 'Crust at most, %')}
          {percentField('aged', 'Aged fat at most, %')}
        </Box>
        <Sources
          title="From the freezer"
          empty="No trim or fat is packed."
          sources={sources}
          name={(source) => {
            const pack = packs.find(({ id }) => id === source.packId);
            return `${source.name}, ${pack ? units.weight(pack.leftGrams) : ''}`;
          }}
          onChange={(source, part) =>
            change({
              packs: {
                ...text.packs,
                [source.id]: { lean: source.lean, crust: source.crust, used: source.used, ...part },
              },
            })
          }
        />
        <Box component="section" aria-label="Bought for it" sx={{ display: 'grid', gap: 1.5 }}>
          <Typography variant="h2">Bought for it</Typography>
          {text.bought.map((each, index) => (
            <Box
              key={each.id}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr 1fr', sm: '1.4fr 1fr 1fr 90px auto' },
                gap: 1.5,
              }}
            >
              <TextField
                size="small"
                label={`Meat ${index + 1}`}
                value={each.name}
                onChange={(event) => setBought(each.id, { name: event.target.value })}
              />
              <WeightField
                size="small"
                label={`There is of ${index + 1}`}
                text={each.weight}
                onText={(weight) => setBought(each.id, { weight })}
              />
              <TextField
                size="small"
                label={`Price of ${index + 1}, a ${units.perWeightUnit}`}
                value={each.price}
                onChange={(event) => setBought(each.id, { price: event.target.value })}
                slotProps={{ htmlInput: { inputMode: 'decimal' } }}
              />
              <TextField
                size="small"
                label={`Lean of ${index + 1}, %`}
                value={each.lean}
                onChange={(event) => setBought(each.id, { lean: event.target.value })}
                slotProps={{ htmlInput: { inputMode: 'numeric' } }}
              />
              <Button
                color="inherit"
                aria-label={`Remove meat ${index + 1}`}
                onClick={() => change({ bought: text.bought.filter(({ id }) => id !== each.id) })}
              >
                Remove
              </Button>
            </Box>
          ))}
          <Button
            sx={{ justifySelf: 'start' }}
            onClick={() => change({ bought: [...text.bought, boughtMeat()] })}
          >
            One meat more
          </Button>
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gap: 2, position: { md: 'sticky' }, top: 16 }} role="status">
        <ProblemNotice failure={blend.error} />
        {blend.data ? <Mixed blend={blend.data} /> : <Typography>Say what there is to grind.</Typography>}
        {blend.data && blend.data.parts.some(({ packId }) => packId) && (
          <MakeIt
            product="GRIND"
            act="Ground: keep the lot"
            sources={usedOf(blend.data.parts, text.bought, units)}
            onMade={clear}
          />
        )}
      </Box>
    </Box>
  );
}

interface SourcesProps {
  title: string;
  empty: string;
  sources: SourceText[];
  name: (source: SourceText) => string;
  onChange: (source: SourceText, part: Partial<SourceText>) => void;
}

function Sources({ title, empty, sources, name, onChange }: SourcesProps) {
  return (
    <Box component="section" aria-label={title} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2">{title}</Typography>
      {sources.length === 0 && <Typography sx={{ color: 'text.secondary' }}>{empty}</Typography>}
      {sources.map((source) => (
        <Box
          key={source.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: 'auto minmax(0, 1fr) 92px 92px',
            gap: 1.5,
            alignItems: 'center',
          }}
        >
          <Checkbox
            checked={source.used}
            onChange={(_, used) => onChange(source, { used })}
            slotProps={{ input: { 'aria-label': `Use ${source.name}` } }}
          />
          <Typography>{name(source)}</Typography>
          <TextField
            size="small"
            label="Lean, %"
            value={source.lean}
            onChange={(event) => onChange(source, { lean: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': `Lean of ${source.name}` } }}
          />
          <TextField
            size="small"
            label="Crust, %"
            value={source.crust}
            onChange={(event) => onChange(source, { crust: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': `Crust of ${source.name}` } }}
          />
        </Box>
      ))}
    </Box>
  );
}

/** What to weigh, large; what it costs, and why it is not cheaper. */
function Mixed({ blend }: { blend: Schema['BlendView'] }) {
  const units = useUnits();
  const can = blend.parts.length > 0;
  return (
    <>
      {can && (
        <>
          <DataTable label="What to weigh" sx={{ width: '100%' }}>
            <tbody>
              {blend.parts.map((part) => (
                <tr key={part.packId ?? part.name}>
                  <th scope="row">{part.name}</th>
                  <Box component="td" sx={{ fontSize: '1.5rem', fontWeight: 640, whiteSpace: 'nowrap' }}>
                    {units.weight(part.grams)}
                  </Box>
                </tr>
              ))}
            </tbody>
          </DataTable>
          <Typography sx={{ fontSize: '1.2rem', fontWeight: 620 }}>
            {units.money(blend.costMinor)}, {units.pricePer(blend.perKg)}
          </Typography>
        </>
      )}
      {blend.binds.map((each) => (
        <Typography
          key={each}
          sx={{ borderLeft: '6px solid', borderColor: can ? 'divider' : 'warning.main', pl: 2 }}
        >
          {each}
        </Typography>
      ))}
      <Caution of="GROUND" />
    </>
  );
}
