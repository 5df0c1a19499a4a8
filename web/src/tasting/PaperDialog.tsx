import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { Choice } from '../table/Choice';
import { blank, lacking, sheetOf, type Draft, type Table } from '../table/sheet';
import { Taste } from '../table/Taste';

interface Props {
  tasting: Schema['TastingView'];
  place: Schema['PlaceView'];
  onClose: () => void;
}

/** A paper sheet, typed in by its codes. */
export function PaperDialog({ tasting, place, onClose }: Props) {
  const [id] = useState(newId);
  const round = place.arrived.indexOf(false);
  const codes =
    tasting.plates
      .find((plate) => plate.place === place.number && plate.round === round)
      ?.servings.map(({ code }) => code) ?? [];
  const [draft, setDraft] = useState<Draft>(() => blank(round));
  const [wrong, setWrong] = useState<string | null>(null);
  const table: Table = {
    begun: true,
    place: place.number,
    kind: tasting.kind,
    attributes: tasting.attributes,
    rounds: tasting.plates
      .filter((plate) => plate.place === place.number)
      .map((plate) => ({
        round: plate.round,
        codes: plate.servings.map(({ code }) => code),
        handedIn: false,
      })),
    chips: [],
  };
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/tastings/{id}/places/{placeId}/sheets/{sheetId}', {
          params: { path: { id: tasting.id, placeId: place.id, sheetId: id } },
          body: sheetOf(table, draft),
        }),
      ),
    onSuccess: async () => {
      await refresh();
      onClose();
    },
  });
  const change = (part: Partial<Draft>) => {
    setWrong(null);
    save.reset();
    setDraft((before) => ({ ...before, ...part }));
  };
  const submit = () => {
    const missing =
      codes.map((code) => lacking(table, draft, { kind: 'taste', code })).find((each) => each !== null) ??
      (tasting.kind === 'SCORES' ? null : lacking(table, draft, { kind: 'choose' }));
    setWrong(missing);
    if (missing === null) {
      save.mutate();
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      aria-labelledby="paper"
      slotProps={{
        paper: {
          component: 'form',
          onSubmit: (event: FormEvent) => {
            event.preventDefault();
            submit();
          },
        },
      }}
    >
      <DialogTitle id="paper">
        {place.name}&apos;s sheet{tasting.rounds > 1 ? `, round ${round + 1}` : ''}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3 }}>
        {codes.map((code) => (
          <Taste key={code} typed table={table} code={code} draft={draft} onChange={change} />
        ))}
        {tasting.kind !== 'SCORES' && (
          <Choice kind={tasting.kind} codes={codes} draft={draft} onChange={change} />
        )}
        <FormControlLabel
          control={<Checkbox checked={draft.knew} onChange={(_, knew) => change({ knew })} />}
          label={`${place.name} knew, or guessed, which was which`}
        />
        <Box>
          <ProblemNotice failure={save.error} />
          {wrong && (
            <Typography role="alert" color="error">
              {wrong}
            </Typography>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Leave it
        </Button>
        <Button type="submit" variant="contained" disabled={save.isPending}>
          Hand it in
        </Button>
      </DialogActions>
    </Dialog>
  );
}
