import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { sendBytes, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useDebouncedValue } from '../kit/debounced';
import { FileButton } from '../kit/FileButton';
import { ProblemNotice } from '../kit/Notices';
import { LoggerMeaning, type Meaning } from './LoggerMeaning';

type Preview = Schema['LoggerPreview'];

const ownZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

async function send<T>(address: string, file: File, meaning: Meaning): Promise<T> {
  const query = new URLSearchParams({ name: file.name });
  Object.entries(meaning).forEach(([name, value]) => {
    if (value !== undefined) {
      query.set(name, String(value));
    }
  });
  const answered = await sendBytes(`${address}?${query}`, file, {
    method: 'POST',
    type: 'application/octet-stream',
  });
  return (await answered.json()) as T;
}

/** Takes in what a logger wrote: what it would bring is shown first, and what was guessed can be said otherwise. */
export function LoggerFile({ chamberId, onClose }: { chamberId: string; onClose: () => void }) {
  const [file, setFile] = useState<File | null>(null);
  const [said, setSaid] = useState<Meaning>({ zone: ownZone() });
  const meant = useDebouncedValue(said, 300);
  const preview = useQuery({
    queryKey: ['logger', file?.name, file?.size, file?.lastModified, meant],
    queryFn: () => send<Preview>('/api/logger-files/preview', file as File, meant),
    enabled: file !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });
  const take = useMutation({
    mutationFn: (chosen: File) => send<Schema['Taken']>(`/api/chambers/${chamberId}/air/file`, chosen, said),
    onSuccess: refresh,
  });
  const seen = preview.data;
  const asked = seen && !seen.orderSure && said.order === undefined;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (file) {
      take.mutate(file);
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="file-title">
      <DialogTitle id="file-title" sx={{ typography: 'h2' }}>
        A logger’s file
      </DialogTitle>
      <DialogContent>
        <Stack component="form" spacing={2} sx={{ pt: 1 }} onSubmit={submit} noValidate>
          <Typography>Any table a logger writes as text. Nothing is kept before you have seen it.</Typography>
          <FileButton
            label={file ? file.name : 'Choose the file'}
            name="File of the logger"
            accept=".csv,.txt,.tsv,.log,text/csv,text/plain"
            onFile={(chosen) => {
              setFile(chosen);
              setSaid({ zone: said.zone });
              take.reset();
            }}
          />
          <ProblemNotice failure={preview.error} />
          {file && seen && (
            <>
              <LoggerSays seen={seen} />
              <ProblemNotice failure={take.error} />
              {take.data && (
                <Typography role="status">
                  {take.data.stored} readings kept
                  {take.data.known > 0 && `; ${take.data.known} were known already and left as they were`}.
                </Typography>
              )}
              <Button
                type="submit"
                variant="contained"
                size="large"
                disabled={
                  take.isPending || preview.isFetching || asked || seen.kept === 0 || Boolean(seen.fault)
                }
              >
                {asked ? 'First say how its days are written' : 'Take it in'}
              </Button>
              <LoggerMeaning
                seen={seen}
                said={said}
                onChange={(meaning) => {
                  setSaid(meaning);
                  take.reset();
                }}
              />
            </>
          )}
          <Button color="inherit" onClick={onClose}>
            Close
          </Button>
        </Stack>
      </DialogContent>
    </Dialog>
  );
}

function LoggerSays({ seen }: { seen: Preview }) {
  return (
    <Stack spacing={0.5} aria-label="What the file holds" role="group">
      {seen.fault ? (
        <Typography color="error">{seen.fault}</Typography>
      ) : (
        seen.says.map((sentence) => <Typography key={sentence}>{sentence}</Typography>)
      )}
      {seen.first.length > 0 && (
        <>
          <Typography variant="body2" color="text.secondary">
            Its first readings, as they are understood
          </Typography>
          {seen.first.map((line) => (
            <Typography key={line} variant="body2" sx={{ fontVariantNumeric: 'tabular-nums' }}>
              {line}
            </Typography>
          ))}
        </>
      )}
    </Stack>
  );
}
