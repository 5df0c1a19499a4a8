import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { usePack } from '../api/stock';
import { newId } from '../kit/drafts';
import { Figure } from '../kit/Figure';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { date, moment, useUnits } from '../kit/units';
import { CleanIt } from './CleanIt';
import { LabelButton } from './LabelButton';
import { takenFor, type Way } from './words';
import { offerUndo } from '../kit/undo';

type Story = Schema['PackStory'];

/** A pack from the animal to where it went, and taking out of it. */
export default function PackPage() {
  const { id = '' } = useParams();
  const story = usePack(id);
  if (!story.data) {
    return <Waiting failure={story.error} />;
  }
  return <Told key={id} story={story.data} />;
}

function Told({ story }: { story: Story }) {
  const units = useUnits();
  const { pack } = story;
  const lots = story.origins.filter(
    ({ lotId }, index, all) => lotId && all.findIndex((each) => each.lotId === lotId) === index,
  );
  return (
    <Page
      title={`Pack ${pack.number}`}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          {pack.name ?? pack.contentLabel}, {pack.cutName}
          {pack.toClean && ', to clean when thawed'}
        </Typography>
      }
    >
      <Box sx={{ display: 'grid', gap: 3, maxWidth: 860 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))', gap: 2.5 }}>
          <Figure name="Left" note={`of ${units.weight(pack.grams)}`} big>
            {pack.leftGrams === 0 ? 'nothing' : units.weight(pack.leftGrams)}
          </Figure>
          <Figure
            name="Use by"
            note={pack.daysLeft == null ? 'your workshop has no rule for it' : 'by your own rule'}
            big
          >
            {pack.useBy == null ? 'not said' : date(pack.useBy)}
          </Figure>
          <Figure
            name="To ask"
            note={
              ['TRIM', 'STEW', 'FAT', 'BONE'].includes(pack.content)
                ? 'as in your settings'
                : 'cost and margin'
            }
            big
          >
            {pack.pricePerKg == null ? 'not known' : units.pricePer(pack.pricePerKg)}
          </Figure>
        </Box>
        <Box component="ol" aria-label="From the animal" sx={{ m: 0, pl: 2.5, '& li': { py: 0.3 } }}>
          {story.origins.map((origin) => (
            <Origin key={origin.pieceId ?? origin.name} origin={origin} pack={pack} />
          ))}
          {pack.makingId && (
            <li>
              <MuiLink component={Link} to={`/makings/${pack.makingId}`}>
                {pack.tag}
              </MuiLink>
            </li>
          )}
          <li>
            Packed on {date(pack.packedOn)} by {story.by}, {pack.wrapLabel}, {pack.keepingLabel}
            {pack.place && `, ${pack.place}`}
          </li>
          {story.outs.map((out) => (
            <Out key={out.id} out={out} packId={pack.id} />
          ))}
        </Box>
        {pack.toClean && <CleanIt pack={pack} />}
        {pack.leftGrams > 0 && <TakeOut key={pack.leftGrams} pack={pack} />}
        <Box className="no-print" sx={{ display: 'flex', gap: 1 }}>
          {pack.leftGrams > 0 && <LabelButton packs={[pack.id]} />}
          {lots.map(({ lotId, lotNumber }) => (
            <Button key={lotId} component={Link} to={`/lots/${lotId}/recall`}>
              What else came from lot {lotNumber}
            </Button>
          ))}
        </Box>
      </Box>
    </Page>
  );
}

function Origin({ origin, pack }: { origin: Schema['OriginView']; pack: Schema['PackView'] }) {
  if (!origin.lotId) {
    return <li>{origin.name}, bought</li>;
  }
  return (
    <li>
      <MuiLink component={Link} to={`/lots/${origin.lotId}`}>
        Lot {origin.lotNumber}
      </MuiLink>
      {origin.supplier && ` from ${origin.supplier}`}
      {origin.sourceTag && `, ${origin.sourceTag}`}:{' '}
      <MuiLink component={Link} to={`/bench/${origin.pieceId}`}>
        piece {origin.tag}
      </MuiLink>
      , {origin.name.toLowerCase()}
      {pack.pieceId === origin.pieceId && pack.agedDays != null && `, aged ${pack.agedDays} days`}
    </li>
  );
}

function Out({ out, packId }: { out: Schema['OutView']; packId: string }) {
  const units = useUnits();
  const [id] = useState(newId);
  const back = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/packs/{id}/back/{outId}', {
          params: { path: { id: packId, outId: id } },
          body: { slip: out.id, words: '' },
        }),
      ),
    onSuccess: refresh,
  });
  return (
    <li>
      <Box component="span" sx={{ textDecoration: out.slip ? 'line-through' : 'none' }}>
        {units.weight(out.grams)} {out.wayLabel}
        {out.makingId ? (
          <>
            {', '}
            <MuiLink component={Link} to={`/makings/${out.makingId}`}>
              {out.words}
            </MuiLink>
          </>
        ) : (
          out.words && `, ${out.words}`
        )}
      </Box>{' '}
      <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
        {moment(out.at)}, {out.by}
        {out.slip && '; taken back'}
      </Typography>
      {!out.slip && !out.makingId && (
        <Button
          className="no-print"
          size="small"
          color="inherit"
          aria-label={`Take back ${units.weight(out.grams)} ${out.wayLabel}`}
          disabled={back.isPending}
          onClick={() => back.mutate()}
        >
          Take back
        </Button>
      )}
      <ProblemNotice failure={back.error} />
    </li>
  );
}

interface Text {
  way: Way;
  weight: string;
  words: string;
}

const Taken = fieldsOf<Text>();

function TakeOut({ pack }: { pack: Schema['PackView'] }) {
  const units = useUnits();
  const [id] = useState(newId);
  const form = useKeptForm<Text>(`out ${pack.id}`, () => ({
    way: 'SALE',
    weight: units.weightForField(pack.leftGrams),
    words: '',
  }));
  const { way, weight, words } = form.values;
  const take = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/packs/{id}/out/{outId}', {
          params: { path: { id: pack.id, outId: id } },
          body: { way, grams: units.readWeight(weight) ?? 0, words },
        }),
      ),
    onSuccess: async () => {
      offerUndo(`Pack ${pack.number}: ${units.weight(units.readWeight(weight) ?? 0)} taken out`, {
        kind: 'OUT',
        packId: pack.id,
        outId: id,
      });
      form.clear();
      await refresh();
    },
  });
  return (
    <Box className="no-print">
      <Form
        form={form}
        failure={take.error}
        names={{ grams: 'weight' }}
        onChange={take.reset}
        onSubmit={() => take.mutate()}
        sx={{ display: 'grid', gap: 1.5 }}
      >
        <Typography variant="h2">Take out</Typography>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '160px 160px 1fr' },
            gap: 1.5,
            alignItems: 'start',
          }}
        >
          <Taken.Choice size="small" name="way" label="What for" choices={takenFor} />
          <Taken.Weight size="small" name="weight" label="How much" required="Say how much." />
          <Taken.Text size="small" name="words" label="To whom, or why" most={200} />
        </Box>
        <Save busy={take.isPending} failure={take.error}>
          Take it out
        </Save>
      </Form>
    </Box>
  );
}
