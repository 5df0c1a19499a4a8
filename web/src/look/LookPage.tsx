import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useRoundBeforehand } from '../api/known';
import { useLooks, usePiece } from '../api/pieces';
import { useOutbox } from '../kit/outbox';
import { useRoom } from '../api/room';
import { Page, Waiting } from '../kit/Page';
import { WorkList } from '../kit/WorkList';
import { PieceFinder } from '../kit/PieceFinder';
import { Answer } from './Answer';
import { LookPanel } from './LookPanel';
import { alongTheRails } from '../kit/rounds';
import { useAwake } from '../kit/wake';

/** Look and smell, piece after piece along the rails; each look is answered at once. */
export default function LookPage() {
  useAwake();
  const [search, setSearch] = useSearchParams();
  const room = useRoom();
  const chosen = search.get('piece');
  const choose = (id: string) => setSearch({ piece: id }, { replace: true });
  const waiting = new Set(useOutbox().flatMap((each) => (each.look ? [each.pieceId] : [])));
  const due = alongTheRails(room.data, room.data?.due ?? []).filter(
    ({ work, subject }) => (work === 'LOOK' || work === 'STOP') && !waiting.has(subject.id),
  );
  useRoundBeforehand(due.map(({ subject }) => subject.id));
  const here = due.findIndex(({ subject }) => subject.id === chosen);
  const next = [...due.slice(here + 1), ...due.slice(0, Math.max(0, here))].find(
    ({ work }) => work === 'LOOK',
  )?.subject;
  return (
    <Page title="Look">
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 640px) minmax(280px, 420px)' },
          gap: { xs: 3, md: 6 },
        }}
      >
        <Box>
          <Box sx={{ mb: 3, maxWidth: 360 }}>
            <PieceFinder label="Tag of the piece" autoFocus={!chosen} onPick={(piece) => choose(piece.id)} />
          </Box>
          {chosen && <Chosen key={chosen} id={chosen} next={next} onNext={choose} />}
        </Box>
        <WorkList
          id="to-look"
          title={due.length === 0 ? 'No look is due' : `${due.length} to look at`}
          work={due}
          chosen={chosen}
          onChoose={choose}
        />
      </Box>
    </Page>
  );
}

interface ChosenProps {
  id: string;
  next: { id: string; tag: string } | undefined;
  onNext: (pieceId: string) => void;
}

function Chosen({ id, next, onNext }: ChosenProps) {
  const piece = usePiece(id);
  const looks = useLooks(id);
  /** The look that was just kept, `again` for one more, or `device` where it waits for Elvaro here. */
  const [kept, setKept] = useState<string | null>(null);
  if (!piece.data || !looks.data) {
    return <Waiting failure={piece.error ?? looks.error} />;
  }
  const { card } = piece.data;
  const last = looks.data.find((look) => look.stands);
  // A look that said stop is dealt with before there is another.
  const shown = looks.data.find((look) => look.id === kept) ?? (last?.answer === 'STOP' ? last : undefined);
  if (card.state !== 'HANGING' && !shown) {
    return (
      <Typography>
        {card.tag} no longer hangs.{' '}
        {card.state === 'PULLED' ? (
          <Link to={`/bench/${id}`}>Smell and look at it at the bench</Link>
        ) : (
          'Choose another.'
        )}
      </Typography>
    );
  }
  if (kept !== 'device' && (!shown || kept === 'again')) {
    return <LookPanel piece={piece.data} last={last} onKept={(look) => setKept(look?.id ?? 'device')} />;
  }
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      {kept === 'device' || !shown ? (
        <Typography sx={{ fontWeight: 620 }}>
          {card.tag} is kept on this device. What to do about it is said once Elvaro answers.
        </Typography>
      ) : (
        <Answer look={shown} pieceId={id} tag={card.tag} />
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {next?.id && (
          <Button
            variant={shown?.answer !== 'ACT' && shown?.answer !== 'STOP' ? 'contained' : 'outlined'}
            size="large"
            onClick={() => onNext(next.id ?? '')}
            sx={{ minHeight: 56 }}
          >
            Next: {next.tag}
          </Button>
        )}
        {card.state === 'HANGING' && (
          <Button color="inherit" onClick={() => setKept('again')}>
            Look at {card.tag} again
          </Button>
        )}
      </Box>
    </Box>
  );
}
