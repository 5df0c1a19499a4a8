import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useMaking, useStock } from '../api/stock';
import { Figure } from '../kit/Figure';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Caution, ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { moment, percent, useUnits } from '../kit/units';
import { LabelButton } from './LabelButton';
import { PackDialog } from './PackDialog';
import { PackTable } from './PackTable';

type Making = Schema['MakingView'];

/** A lot of grind or tallow: what went in, what came out, what was packed of it. */
export default function MakingPage() {
  const { id = '' } = useParams();
  const making = useMaking(id);
  if (!making.data) {
    return <Waiting failure={making.error} />;
  }
  return <Made key={id} making={making.data} />;
}

function Made({ making }: { making: Making }) {
  const units = useUnits();
  const stock = useStock();
  const [packing, setPacking] = useState(false);
  return (
    <Page
      title={making.name}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          {moment(making.madeAt)}, {making.by}
          {making.undone && '; undone, everything is back in its packs'}
        </Typography>
      }
    >
      <Box sx={{ display: 'grid', gap: 3, maxWidth: 860 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))', gap: 2.5 }}>
          <Figure name="Came out" note={`${percent(making.share)} of ${units.weight(making.inGrams)}`} big>
            {units.weight(making.grams)}
          </Figure>
          <Figure name="To pack" big>
            {making.leftGrams === 0 ? 'nothing' : units.weight(making.leftGrams)}
          </Figure>
          <Figure name="Cost" note="all that went in, over what came out" big>
            {units.pricePer(making.costPerKg)}
          </Figure>
        </Box>
        <Box component="ol" aria-label="What went in" sx={{ m: 0, pl: 2.5, '& li': { py: 0.3 } }}>
          {making.sources.map((source) => (
            <li key={source.packId ?? source.name}>
              <strong>{units.weight(source.grams)}</strong>{' '}
              {source.packId ? (
                <MuiLink component={Link} to={`/packs/${source.packId}`}>
                  {source.name}
                </MuiLink>
              ) : (
                `${source.name}, bought`
              )}
            </li>
          ))}
        </Box>
        {making.words && <Typography>{making.words}</Typography>}
        {making.product === 'GRIND' && <Caution of="GROUND" />}
        {making.packs.length > 0 && stock.data && <PackTable packs={making.packs} today={stock.data.today} />}
        {!making.undone && (
          <Box className="no-print" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            {making.leftGrams > 0 && (
              <Button variant="contained" onClick={() => setPacking(true)}>
                Pack it
              </Button>
            )}
            {making.packs.length > 0 && <LabelButton packs={making.packs.map(({ id }) => id)} />}
          </Box>
        )}
        {!making.undone && <Mend making={making} />}
      </Box>
      {packing && stock.data && (
        <PackDialog
          title={`Pack ${making.name.toLowerCase()}`}
          draft={`packs of ${making.id}`}
          choices={[making.product]}
          of={{ makingId: making.id }}
          stock={stock.data}
          put={(packs) =>
            answer(
              api.PUT('/api/makings/{id}/packs', { params: { path: { id: making.id } }, body: { packs } }),
            )
          }
          onClose={() => setPacking(false)}
        />
      )}
    </Page>
  );
}

interface Text {
  weight: string;
}

const Out = fieldsOf<Text>();

/** A wrong weight is corrected; what nothing was packed of yet is undone. */
function Mend({ making }: { making: Making }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const form = useKeptForm<Text>(null, () => ({ weight: units.weightForField(making.grams) }));
  const correct = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/makings/{id}/weight', {
          params: { path: { id: making.id } },
          body: {
            version: making.version,
            grams: units.readWeight(form.values.weight) ?? 0,
            words: making.words,
          },
        }),
      ),
    onSuccess: async () => {
      setOpen(false);
      await refresh();
    },
  });
  const undo = useMutation({
    mutationFn: () => answer(api.PUT('/api/makings/{id}/undo', { params: { path: { id: making.id } } })),
    onSuccess: refresh,
  });
  return (
    <Box className="no-print" sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}>
      {!open ? (
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button color="inherit" onClick={() => setOpen(true)}>
            Correct the weight
          </Button>
          {making.packs.length === 0 && (
            <Button color="inherit" disabled={undo.isPending} onClick={() => undo.mutate()}>
              Undo it: all back into its packs
            </Button>
          )}
        </Box>
      ) : (
        <Form
          form={form}
          failure={correct.error}
          names={{ grams: 'weight' }}
          onChange={correct.reset}
          onSubmit={() => correct.mutate()}
          sx={{ display: 'flex', gap: 1.5 }}
        >
          <Out.Weight size="small" name="weight" autoFocus label="What came out" required="Weigh it." />
          <Button type="submit" variant="outlined" disabled={correct.isPending} sx={{ height: 44 }}>
            Keep it
          </Button>
        </Form>
      )}
      <ProblemNotice failure={correct.error ?? undo.error} />
    </Box>
  );
}
