import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { useCarcass } from '../api/carcasses';
import { refresh } from '../api/house';
import { usePiece } from '../api/pieces';
import { newId } from '../kit/drafts';
import { Figure } from '../kit/Figure';
import { CautionText, ProblemNotice, Questions } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { figure, moment, useUnits } from '../kit/units';
import { CoolingLog } from './CoolingLog';
import { CutOff } from './CutOff';
import { HideOff } from './HideOff';
import { PhotoStory } from '../photo/PhotoStory';
import { OnIce } from './OnIce';
import { Outline } from './Outline';
import type { Part } from './outlines';
import { SchoolChoice } from './SchoolChoice';
import { stateWords, testWords } from './words';

type Carcass = Schema['CarcassView'];

/** How an animal breaks down: touch a part, weigh it, and say where it goes. */
export default function CarcassPage() {
  const { id = '' } = useParams();
  const carcass = useCarcass(id);
  if (!carcass.data) {
    return <Waiting failure={carcass.error} />;
  }
  return <Animal key={id} carcass={carcass.data} />;
}

function Animal({ carcass }: { carcass: Carcass }) {
  const units = useUnits();
  const [chosen, setChosen] = useState<Part | null>(null);
  const { animal, card, ahead } = carcass;
  const part = carcass.parts.find((each) => each.part === chosen && !each.pieceId);
  const down = card.state === 'PULLED';
  return (
    <Page
      title={`${animal.label}, ${carcass.tag || card.tag}`}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          {carcass.place && `${carcass.place}, `}
          {moment(carcass.killedAt)}
          {carcass.permit && `, permit ${carcass.permit}`}
        </Typography>
      }
    >
      <Held carcass={carcass} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: {
            xs: 'minmax(0, 1fr)',
            sm: 'minmax(0, 1fr) minmax(0, 1.1fr)',
            lg: 'minmax(0, 420px) minmax(0, 1fr) 320px',
          },
          gap: { xs: 3, md: 4 },
          alignItems: 'start',
        }}
      >
        <Outline build={animal.build} parts={carcass.parts} chosen={chosen} onChoose={setChosen} />
        <Box sx={{ display: 'grid', gap: 2.5 }}>
          {card.state === 'HANGING' && <StillHangs carcass={carcass} />}
          {down && part && (
            <CutOff
              key={part.part}
              carcassId={carcass.id}
              part={part}
              later={carcass.school.trim === 'LATER'}
              onOff={() => setChosen(null)}
            />
          )}
          {down && !part && <Typography>Touch the part that comes off next.</Typography>}
          <SchoolChoice carcass={carcass} />
          <Parts carcass={carcass} chosen={chosen} onChoose={setChosen} />
        </Box>
        <Box sx={{ display: 'grid', gap: 2.5 }}>
          <Figure
            name="Boneless meat ahead"
            note={
              `${units.load(ahead.leastGrams)} to ${units.load(ahead.mostGrams)}` +
              (ahead.idealGrams > ahead.realisticGrams
                ? `; ${units.load(ahead.idealGrams)} after an ideal shot`
                : '')
            }
            working={ahead.working}
            big
          >
            {units.load(ahead.realisticGrams)}
          </Figure>
          <Sheet carcass={carcass} />
          <CoolingLog carcass={carcass} />
          <PhotoStory card={card} />
          {animal.cautions.map(({ caution, topic, sentence }) => (
            <CautionText key={caution} topic={topic}>
              {sentence}
            </CautionText>
          ))}
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            Gloves for a dead animal. Local law and a licensed practitioner decide.
          </Typography>
        </Box>
      </Box>
    </Page>
  );
}

/** What hangs is taken down and weighed first; on ice, how much of it and when. */
function StillHangs({ carcass }: { carcass: Carcass }) {
  const units = useUnits();
  const { card, animal } = carcass;
  const piece = usePiece(carcass.id);
  const iced = card.method === 'ON_ICE';
  const now = piece.data?.ahead?.now;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Typography sx={{ fontSize: '1.2rem' }}>
        {iced ? 'Lies on ice' : 'Hangs'} in {card.chamberName}, day {card.dayNumber} of {card.targetDays};{' '}
        {animal.fewestDays} to {animal.mostDays} is usual. {animal.daysBecause}
        {carcass.hideOn && ' In its hide it dries slower.'}
      </Typography>
      {now && (card.dayNumber ?? 0) > 0 && (
        <Typography>
          By the air it had, that is {figure(now.equivalentDays, 1)} days at {units.temperature(0)}.
        </Typography>
      )}
      {piece.data && <OnIce key={piece.data.version} piece={piece.data} />}
      {carcass.hideOn && <HideOff pieceId={carcass.id} />}
      {(card.dayNumber ?? 0) <= 1 && (
        <Box component="ol" aria-label="Making it ready" sx={{ m: 0, pl: 2.5 }}>
          {carcass.readying.map((step) => (
            <Typography component="li" key={step}>
              {step}
            </Typography>
          ))}
        </Box>
      )}
      <Button
        variant="contained"
        size="large"
        component={Link}
        to={`/pieces/${carcass.id}`}
        sx={{ justifySelf: 'start', minHeight: 52 }}
      >
        Take it down and weigh it
      </Button>
    </Box>
  );
}

interface PartsProps {
  carcass: Carcass;
  chosen: Part | null;
  onChoose: (part: Part) => void;
}

function Parts({ carcass, chosen, onChoose }: PartsProps) {
  const units = useUnits();
  const down = carcass.card.state === 'PULLED';
  return (
    <Box component="ul" aria-label="Parts" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {carcass.parts.map((part) => (
        <Box
          component="li"
          key={part.part}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1.5,
            borderTop: '1px solid',
            borderColor: 'divider',
            minHeight: 48,
          }}
        >
          <Typography sx={{ flex: 1, fontWeight: part.part === chosen ? 640 : 400 }}>{part.label}</Typography>
          {part.pieceId ? (
            <>
              <Typography sx={{ fontWeight: 620 }}>{units.weight(part.grams ?? 0)}</Typography>
              <MuiLink
                component={Link}
                to={part.state === 'HANGING' ? `/pieces/${part.pieceId}` : `/bench/${part.pieceId}`}
              >
                {part.tag} {part.state && stateWords[part.state]}
              </MuiLink>
              {carcass.animal.build === 'BIRD' && part.state === 'PULLED' && (
                <MuiLink component={Link} to={`/pieces/${part.pieceId}?treat=MARINADE`}>
                  marinate
                </MuiLink>
              )}
            </>
          ) : down ? (
            <Button color="inherit" aria-pressed={part.part === chosen} onClick={() => onChoose(part.part)}>
              some {units.load(part.expectedGrams)}
            </Button>
          ) : (
            <Typography sx={{ color: 'text.secondary' }}>some {units.load(part.expectedGrams)}</Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}

/** Where the weight went, and whether it adds up. */
function Sheet({ carcass }: { carcass: Carcass }) {
  const units = useUnits();
  const { sheet, card } = carcass;
  const [entryId] = useState(newId);
  const close = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/carcasses/{id}/close/{entryId}', {
          params: { path: { id: carcass.id, entryId } },
          body: { answers },
        }),
      ),
    onSuccess: refresh,
  });
  if (card.state === 'HANGING') {
    return null;
  }
  const { whole, cut } = sheet;
  const thrown = (whole.DISCARD ?? 0) + (cut.DISCARD ?? 0);
  return (
    <Box component="section" aria-labelledby="sheet" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography id="sheet" variant="h2">
        Cut sheet
      </Typography>
      <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: '1fr auto', rowGap: 0.5 }}>
        {[
          ['As taken down', sheet.agedGrams],
          ['Parts off', sheet.partsGrams],
          [
            'Skin, bone and discard off the whole',
            (whole.BONE ?? 0) + (whole.FAT ?? 0) + (whole.DISCARD ?? 0),
          ],
          ['Of the parts: boneless', sheet.boneless],
          ['hanging or to cut', sheet.toCutGrams],
          ['bone', cut.BONE ?? 0],
          ['discard in all', thrown],
        ].map(([name, grams]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <Typography component="dt">{name}</Typography>
            <Typography component="dd" sx={{ m: 0, fontWeight: 620, textAlign: 'right' }}>
              {units.weight(Number(grams))}
            </Typography>
          </Box>
        ))}
      </Box>
      {sheet.perKgMinor != null && (
        <Figure name="Cost of the boneless meat so far" note="the animal's price, less what is yet to cut">
          {units.pricePer(sheet.perKgMinor)}
        </Figure>
      )}
      {card.state === 'PULLED' && (
        <>
          <Typography role="status" sx={{ fontSize: '1.25rem', fontWeight: 640 }}>
            {sheet.residualGrams >= 0
              ? `${units.weight(sheet.residualGrams)} is on the animal yet`
              : `${units.weight(-sheet.residualGrams)} more than there was`}
          </Typography>
          <Button component={Link} to={`/bench/${carcass.id}`} color="inherit" variant="outlined">
            Weigh off skin, bone and discard
          </Button>
          <ProblemNotice failure={close.error} />
          <Questions
            failure={close.error}
            busy={close.isPending}
            keep="Close it so"
            onAnswer={(answers) => close.mutate(answers)}
          />
          <Button
            variant={sheet.balance === 'CLOSES' ? 'contained' : 'outlined'}
            size="large"
            disabled={close.isPending || sheet.partsGrams === 0}
            onClick={() => close.mutate({})}
          >
            It is broken down
          </Button>
        </>
      )}
    </Box>
  );
}

/** A test that is awaited holds everything back until its result stands here. */
function Held({ carcass }: { carcass: Carcass }) {
  const result = useMutation({
    mutationFn: (test: Carcass['test']) =>
      answer(
        api.PUT('/api/carcasses/{id}/test', {
          params: { path: { id: carcass.id } },
          body: { version: carcass.version, test },
        }),
      ),
    onSuccess: refresh,
  });
  if (!carcass.animal.mayBeTested) {
    return null;
  }
  return (
    <Box
      sx={{
        borderLeft: '6px solid',
        borderColor: carcass.held ? 'error.main' : 'divider',
        pl: 2,
        py: 0.5,
        mb: 2.5,
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <Typography sx={{ fontWeight: carcass.held ? 640 : 400 }}>
        Disease test: {testWords[carcass.test]}
        {carcass.held && '. Nothing of it is packed or shared'}
      </Typography>
      {(['AWAITED', 'CLEAR', 'FOUND'] as const)
        .filter((each) => each !== carcass.test && (carcass.test !== 'NOT_ASKED' || each === 'AWAITED'))
        .map((each) => (
          <Button
            key={each}
            size="small"
            variant="outlined"
            color="inherit"
            disabled={result.isPending}
            onClick={() => result.mutate(each)}
          >
            {testWords[each]}
          </Button>
        ))}
      <ProblemNotice failure={result.error} />
    </Box>
  );
}
