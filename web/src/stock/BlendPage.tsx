import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { useBlend, useFirstBlend, useStock } from '../api/stock';
import { DataTable } from '../kit/DataTable';
import { useDebouncedValue } from '../kit/debounced';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { Group, useGroup } from '../kit/form/group';
import { useKeptForm } from '../kit/form/keptForm';
import { Caution, ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import {
  blendBody,
  boughtMeat,
  firstBlend,
  freshMeat,
  usedOf,
  type BlendText,
  type BoughtText,
  type ShareText,
} from './blend';
import { MakeIt } from './MakeIt';

/** How long typing pauses before it is worked out again. */
const SETTLED_MS = 300;

const Batch = fieldsOf<BlendText>();
const Bought = fieldsOf<BoughtText>();
const Share = fieldsOf<ShareText>();

/** What the server calls these. */
const names = {
  grams: 'weight',
  leanPercent: 'lean',
  mostCrustPercent: 'crust',
  mostAgedFatPercent: 'aged',
};

/** The cheapest grind of what is packed and what is bought, and how much of each to weigh. */
export default function BlendPage() {
  const stock = useStock();
  const first = useFirstBlend();
  if (!stock.data || !first.data) {
    return <Waiting failure={stock.error ?? first.error} />;
  }
  return (
    <Page title="Blend a grind">
      <Mixing first={first.data} packs={stock.data.packs} />
    </Page>
  );
}

function Mixing({ first, packs }: { first: Schema['FirstBlend']; packs: Schema['PackView'][] }) {
  const units = useUnits();
  const { sources } = first.blend;
  const form = useKeptForm<BlendText>(
    'blend',
    () => firstBlend(first, units),
    (kept) => ({ ...kept, packs: { ...firstBlend(first, units).packs, ...kept.packs } }),
  );
  const { values: text, change } = form;
  const settled = useDebouncedValue(JSON.stringify(blendBody(text, sources, units)), SETTLED_MS);
  const blend = useBlend(JSON.parse(settled) as Schema['BlendForm'] | null);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 380px' },
        gap: { xs: 3, md: 6 },
        alignItems: 'start',
      }}
    >
      <Form form={form} failure={blend.error} names={names} sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' }, gap: 1.5 }}>
          <Batch.Weight size="small" name="weight" label="Batch" />
          <Batch.Measure size="small" name="lean" label="Lean" of="percent" />
          <Batch.Measure size="small" name="crust" label="Crust at most" of="percent" />
          <Batch.Measure size="small" name="aged" label="Aged fat at most" of="percent" />
        </Box>
        <Box component="section" aria-label="From the freezer" sx={{ display: 'grid', gap: 1 }}>
          <Typography variant="h2">From the freezer</Typography>
          {sources.length === 0 && (
            <Typography sx={{ color: 'text.secondary' }}>No trim or fat is packed.</Typography>
          )}
          {sources.map(({ packId, name }) => (
            <Group key={packId} name={`packs.${packId}`}>
              <PackShare name={name} left={packs.find(({ id }) => id === packId)?.leftGrams} />
            </Group>
          ))}
        </Box>
        <Box component="section" aria-label="Bought for it" sx={{ display: 'grid', gap: 1.5 }}>
          <Typography variant="h2">Bought for it</Typography>
          {text.bought.map((meat, index) => (
            <Group key={meat.id} name={`bought.${index}`}>
              <BoughtMeat
                number={index + 1}
                onRemove={() => change({ bought: text.bought.filter(({ id }) => id !== meat.id) })}
              />
            </Group>
          ))}
          <Button
            sx={{ justifySelf: 'start' }}
            onClick={() => change({ bought: [...text.bought, boughtMeat(first)] })}
          >
            One meat more
          </Button>
        </Box>
      </Form>
      <Box sx={{ display: 'grid', gap: 2, position: { md: 'sticky' }, top: 16 }} role="status">
        <ProblemNotice failure={blend.error} />
        {blend.data?.wants && text.bought.length === 0 && (
          <Wants
            wants={blend.data.wants}
            onTake={(wants) =>
              change({
                weight: units.weightForField(wants.grams),
                bought: freshMeat(wants, units),
              })
            }
          />
        )}
        {blend.data ? <Mixed blend={blend.data} /> : <Typography>Say what there is to grind.</Typography>}
        {blend.data && blend.data.parts.some(({ packId }) => packId) && (
          <MakeIt
            product="GRIND"
            act="Ground: keep the lot"
            sources={usedOf(blend.data.parts, text.bought, units)}
            onMade={form.clear}
          />
        )}
      </Box>
    </Box>
  );
}

/** What all that is packed wants bought with it, and taking it so. */
function Wants({
  wants,
  onTake,
}: {
  wants: Schema['WantsView'];
  onTake: (wants: Schema['WantsView']) => void;
}) {
  const units = useUnits();
  return (
    <Box sx={{ borderLeft: '6px solid', borderColor: 'primary.main', pl: 2, display: 'grid', gap: 1 }}>
      <Typography sx={{ fontSize: '1.15rem', fontWeight: 620 }}>{units.sentence(wants.sentence)}</Typography>
      <Button variant="outlined" sx={{ justifySelf: 'start' }} onClick={() => onTake(wants)}>
        Mix that batch
      </Button>
    </Box>
  );
}

/** A pack: whether it goes in, and what it is taken for until somebody says otherwise. */
function PackShare({ name, left }: { name: string; left?: number }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const { values, change } = useGroup<ShareText>();
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, alignItems: 'center' }}>
      <Checkbox
        checked={Boolean(values.used)}
        onChange={(_, used) => change({ used })}
        slotProps={{ input: { 'aria-label': `Use ${name}` } }}
      />
      <Typography sx={{ flex: '1 1 220px' }}>
        {name}
        {left !== undefined && `, ${units.weight(left)}`}
      </Typography>
      {open ? (
        <Box sx={{ display: 'grid', gridTemplateColumns: '100px 100px', gap: 1.5 }}>
          <Share.Measure size="small" name="lean" label="Lean" ariaLabel={`Lean of ${name}`} of="percent" />
          <Share.Measure
            size="small"
            name="crust"
            label="Crust"
            ariaLabel={`Crust of ${name}`}
            of="percent"
          />
        </Box>
      ) : (
        <Button
          color="inherit"
          size="small"
          aria-label={`${name}: ${values.lean} % lean, ${values.crust} % crust; change`}
          onClick={() => setOpen(true)}
        >
          {values.lean} % lean, {values.crust} % crust
        </Button>
      )}
    </Box>
  );
}

/** Meat that is bought for it. */
function BoughtMeat({ number, onRemove }: { number: number; onRemove: () => void }) {
  const units = useUnits();
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', sm: '1.4fr 1fr 1fr 100px auto' },
        gap: 1.5,
        alignItems: 'start',
      }}
    >
      <Bought.Text size="small" name="name" label={`Meat ${number}`} />
      <Bought.Weight size="small" name="weight" label={`There is of ${number}`} />
      <Bought.Measure
        size="small"
        name="price"
        label={`Price of ${number}, a ${units.perWeightUnit}`}
        of="price"
        bare
      />
      <Bought.Measure size="small" name="lean" label={`Lean of ${number}`} of="percent" />
      <Button color="inherit" aria-label={`Remove meat ${number}`} onClick={onRemove}>
        Remove
      </Button>
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
