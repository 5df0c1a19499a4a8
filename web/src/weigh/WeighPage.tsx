import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState, type ComponentProps } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useRoundBeforehand } from '../api/known';
import { usePiece } from '../api/pieces';
import { useRoom } from '../api/room';
import { Page, Waiting } from '../kit/Page';
import { WorkList } from '../kit/WorkList';
import { EntryPanel } from '../piece/EntryPanel';
import { PieceFinder } from '../kit/PieceFinder';
import { useScale, useScales } from './scale';
import { ScaleBar } from './ScaleBar';
import { alongTheRails } from '../kit/rounds';
import { useAwake } from '../kit/wake';

type ScaleNow = ComponentProps<typeof EntryPanel>['scale'];

/** Get weights in, fast: pick by tag or take the next one due; Enter saves and goes on. */
export default function WeighPage() {
  useAwake();
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const room = useRoom();
  const [saved, setSaved] = useState<string[]>([]);
  const chosen = search.get('piece');
  const due = alongTheRails(room.data, room.data?.due ?? []).filter(
    ({ work, subject }) => work === 'WEIGH' && !saved.includes(subject.id),
  );
  useRoundBeforehand(due.map(({ subject }) => subject.id));
  const using = useScales();
  const shown = useScale(using.scale?.id);
  const [keptLaying, setKeptLaying] = useState(0);
  const choose = (id: string) => setSearch({ piece: id }, { replace: true });
  const goOn = () => {
    // On along the rails from here; what was passed over comes at the end.
    const here = due.findIndex(({ subject }) => subject.id === chosen);
    const next = [...due.slice(here + 1), ...due.slice(0, Math.max(0, here))][0]?.subject.id;
    setKeptLaying(shown?.laying ?? keptLaying);
    if (chosen) {
      setSaved([...saved, chosen]);
    }
    if (next) {
      choose(next);
    } else {
      navigate('/weigh', { replace: true });
    }
  };
  return (
    <Page title="Weigh">
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 560px) minmax(280px, 420px)' },
          gap: { xs: 3, md: 6 },
        }}
      >
        <Box>
          <Box sx={{ mb: 3, maxWidth: 360 }}>
            <PieceFinder label="Tag of the piece" autoFocus={!chosen} onPick={(piece) => choose(piece.id)} />
          </Box>
          <ScaleBar using={using} shown={shown} />
          {chosen && (
            <Chosen
              key={chosen}
              id={chosen}
              onSaved={goOn}
              scale={shown ? { shown, keptLaying } : undefined}
            />
          )}
        </Box>
        <WorkList
          id="to-weigh"
          title={due.length === 0 ? 'No weighing is due' : `${due.length} to weigh`}
          work={due}
          chosen={chosen}
          onChoose={choose}
        />
      </Box>
    </Page>
  );
}

function Chosen({ id, onSaved, scale }: { id: string; onSaved: () => void; scale: ScaleNow | undefined }) {
  const piece = usePiece(id);
  const box = useRef<HTMLDivElement>(null);
  const ready = piece.data !== undefined;
  useEffect(() => {
    // The choice is made: the keys go on to what is to be weighed, and Enter is the scale's.
    if (ready && !box.current?.contains(document.activeElement)) {
      box.current?.focus({ preventScroll: true });
    }
  }, [ready]);
  if (!piece.data) {
    return <Waiting failure={piece.error} />;
  }
  if (piece.data.card.state !== 'HANGING') {
    return <Typography>{piece.data.card.tag} no longer hangs. Choose another.</Typography>;
  }
  return (
    <Box
      ref={box}
      tabIndex={-1}
      role="group"
      aria-label={`Weighing ${piece.data.card.tag}`}
      sx={{ outline: 'none' }}
    >
      <EntryPanel piece={piece.data} kind="WEIGHED" onSaved={onSaved} scale={scale} />
    </Box>
  );
}
