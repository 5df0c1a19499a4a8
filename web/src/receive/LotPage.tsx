import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { focusFirst } from '../kit/focus';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useLot } from '../api/lots';
import { useKeptForm } from '../kit/form/keptForm';
import { LinkedRow } from '../kit/LinkedRow';
import { Page, Waiting } from '../kit/Page';
import { SectionGlyph } from '../kit/SectionGlyph';
import { date, days, useUnits } from '../kit/units';
import { roleWords } from '../kit/words';
import { Decisions } from '../piece/PieceLog';
import { lotBody, lotText } from './draft';
import { LotForm } from './LotForm';
import { Split } from './Split';
import { gone } from '../kit/weighed';

type Lot = Schema['LotView'];

/** What was bought, and what became of it. */
export default function LotPage() {
  const { id = '' } = useParams();
  const lot = useLot(id);
  const [editing, setEditing] = useState(false);
  const [hung, setHung] = useState(false);
  if (!lot.data) {
    return <Waiting failure={lot.error} />;
  }
  const { number, cutName, pieces } = lot.data;
  return (
    <Page title={`Lot ${number}, ${cutName}`}>
      {editing ? (
        <LotEditor lot={lot.data} onDone={() => setEditing(false)} />
      ) : (
        <>
          <LotFacts lot={lot.data} onEdit={() => setEditing(true)} />
          {pieces.length === 0 ? (
            <Split lot={lot.data} onHung={() => setHung(true)} />
          ) : (
            <Pieces lot={lot.data} hung={hung} />
          )}
          {lot.data.decisions.length > 0 && <Decisions decisions={lot.data.decisions} />}
        </>
      )}
    </Page>
  );
}

function LotFacts({ lot, onEdit }: { lot: Lot; onEdit: () => void }) {
  const units = useUnits();
  const { form } = lot;
  const facts = [
    units.weight(form.receivedGrams),
    form.boneIn ? 'on the bone' : 'boneless',
    form.grade,
    form.supplier,
    form.priceMinorPerKg != null && units.pricePer(form.priceMinorPerKg),
    form.fatCoverMm > 0 && `fat cover ${units.lengthForField(form.fatCoverMm)} ${units.lengthUnit}`,
    `came ${date(form.receivedOn)}`,
    form.packedOn && `packed ${date(form.packedOn)}`,
    form.arrivalCelsius != null && `at ${units.temperature(form.arrivalCelsius)}`,
    form.sourceTag && `tag ${form.sourceTag}`,
    form.note,
  ].filter(Boolean);
  return (
    <Typography sx={{ mb: 3, fontSize: '1.1rem' }}>
      {facts.join(', ')}{' '}
      <Button size="small" onClick={onEdit}>
        Correct
      </Button>
      {lot.pieces.length > 0 && (
        <Button size="small" component={Link} to={`/lots/${form.id}/recall`}>
          What came of it
        </Button>
      )}
    </Typography>
  );
}

function LotEditor({ lot, onDone }: { lot: Lot; onDone: () => void }) {
  const units = useUnits();
  const form = useKeptForm(`lot ${lot.form.id} ${lot.form.version}`, () => lotText(lot.form, units));
  const { id } = lot.form;
  const change = useMutation({
    mutationFn: (body: Schema['LotForm']) =>
      answer(api.PUT('/api/lots/{id}', { params: { path: { id } }, body })),
    onSuccess: async () => {
      form.clear();
      await refresh();
      onDone();
    },
  });
  return (
    <LotForm
      form={form}
      save="Save the correction"
      busy={change.isPending}
      failure={change.error}
      onChange={change.reset}
      onSave={(answers) => change.mutate(lotBody(form.hook.getValues(), units, answers))}
    />
  );
}

/** What became of it; where it was hung just now, the keys are on the first piece. */
function Pieces({ lot, hung }: { lot: Lot; hung: boolean }) {
  const units = useUnits();
  const pieces = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (hung) {
      focusFirst(pieces.current);
    }
  }, [hung]);
  return (
    <Box component="section" aria-labelledby="pieces">
      <Typography id="pieces" variant="h2" sx={{ mb: 1 }}>
        Cut into {lot.pieces.length === 1 ? 'one piece' : `${lot.pieces.length} pieces`}
        {lot.cuttingLossGrams !== 0 && `, ${units.weight(lot.cuttingLossGrams)} cutting loss`}
      </Typography>
      <Box ref={pieces} sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
        {lot.pieces.map((piece) => (
          <LinkedRow key={piece.id} to={`/pieces/${piece.id}`} sx={{ display: 'flex', gap: 2, p: 1 }}>
            <SectionGlyph shape={piece.shape} section={piece.section} size={92} />
            <Box>
              <Typography variant="h2" component="h3">
                {piece.tag}
              </Typography>
              <Typography>
                {[roleWords[piece.role], piece.methodLabel?.toLowerCase(), piece.chamberName]
                  .filter(Boolean)
                  .join(', ')}
              </Typography>
              <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {units.weight(piece.greenGrams)} green
                {piece.dayNumber != null && `, ${days(piece.dayNumber)}, ${gone(piece)}`}
              </Typography>
            </Box>
          </LinkedRow>
        ))}
      </Box>
    </Box>
  );
}
