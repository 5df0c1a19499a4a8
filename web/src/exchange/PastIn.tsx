import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, sendBytes } from '../api/client';
import { refresh } from '../api/house';
import { usePastPreview } from '../api/past';
import { newId } from '../kit/drafts';
import { DataTable } from '../kit/DataTable';
import { ProblemNotice } from '../kit/Notices';
import { FileButton } from '../kit/FileButton';
import { counted, firstForm, type Form, type Sheet } from './past';
import { PastMeaning } from './PastMeaning';
import { PastPlace, type Place } from './PastPlace';
import { PastRows } from './PastRows';

type Opening = { file: File } & Partial<Place>;

/** A table that was kept before Elvaro: what each column means is chosen, and what would come of it is shown. */
export function PastIn() {
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const [form, setForm] = useState<Form | null>(null);
  const [id, setId] = useState(newId);
  const open = useMutation({
    mutationFn: async ({ file, ...chosen }: Opening) => {
      const query = new URLSearchParams(
        Object.entries(chosen).map(([name, value]): [string, string] => [name, String(value)]),
      );
      const read = await sendBytes(`/api/past/table?${query}`, file, {
        method: 'POST',
        type: 'application/octet-stream',
      });
      return (await read.json()) as Sheet;
    },
    onSuccess: (read) => {
      setSheet(read);
      setForm(firstForm(read));
      setId(newId());
    },
  });
  const reopen = (place: Place) => {
    if (open.variables) {
      open.mutate({ file: open.variables.file, ...place });
    }
  };
  const preview = usePastPreview(form);
  const take = useMutation({
    mutationFn: (body: Form) => answer(api.PUT('/api/past/{id}', { params: { path: { id } }, body })),
    onSuccess: async () => {
      setSheet(null);
      setForm(null);
      await refresh();
    },
  });
  const found = preview.data;
  const brings = found && [
    ...(found.pieces > 0 ? [counted(found.pieces, 'finished piece')] : []),
    ...(found.weighings > 0 ? [counted(found.weighings, 'weighing')] : []),
  ];
  return (
    <Box sx={{ display: 'grid', gap: 2, justifyItems: 'start', gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <FileButton
        label="Choose a table"
        name="Table of past weights"
        accept=".csv,.txt,.tsv,.xlsx,.ods,.xls,text/csv"
        busy={open.isPending}
        onFile={(file) => {
          setForm(null);
          take.reset();
          open.mutate({ file });
        }}
      />
      <ProblemNotice failure={open.error} />
      {take.data && (
        <Alert severity="success" variant="outlined" role="status">
          Taken in: {counted(take.data.pieces, 'piece')}, {counted(take.data.weighings, 'weighing')}.
        </Alert>
      )}
      {sheet && form && (
        <>
          <PastPlace key={`${sheet.sheet} ${sheet.headRow}`} sheet={sheet} onChange={reopen} />
          <PastMeaning sheet={sheet} form={form} onChange={setForm} />
          <PastRows sheet={sheet} form={form} faults={found?.faults ?? []} />
          <ProblemNotice failure={preview.error ?? take.error} />
          {found && found.stories.length > 0 && (
            <DataTable list label="What is understood">
              <tbody>
                {found.stories.map((story) => (
                  <tr key={`${story.row} ${story.name}`}>
                    <th scope="row">{story.name}</th>
                    <td>{story.here ? 'is here' : 'new'}</td>
                    <td>{story.sentence}</td>
                  </tr>
                ))}
              </tbody>
            </DataTable>
          )}
          {found?.leftOut.map((sentence) => (
            <Typography key={sentence}>{sentence}</Typography>
          ))}
          {found && found.known > 0 && (
            <Typography>Here already, and left as they are: {counted(found.known, 'weighing')}.</Typography>
          )}
          {found && found.faults.length === 0 && (
            <Button
              variant="contained"
              size="large"
              disabled={take.isPending || brings?.length === 0}
              onClick={() => take.mutate(form)}
            >
              {brings?.length ? `Take in ${brings.join(' and ')}` : 'There is nothing new in it'}
            </Button>
          )}
        </>
      )}
    </Box>
  );
}
