import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useDraft } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { date } from '../kit/units';

type Trial = Schema['TrialView'];

/** The line of trials this one stands in: what was changed, and what each step showed. */
export function Thread({ trial }: { trial: Trial }) {
  return (
    <Box component="section" aria-labelledby="thread">
      <Typography id="thread" variant="h2" sx={{ mb: 1 }}>
        The line of trials
      </Typography>
      <Box
        component="ol"
        sx={{ m: 0, p: 0, listStyle: 'none', borderLeft: '3px solid', borderColor: 'rail' }}
      >
        {trial.thread.map((each) => {
          const here = each.id === trial.id;
          return (
            <Box
              component="li"
              key={each.id}
              aria-current={here}
              sx={{
                pl: 2.5,
                pb: 2,
                position: 'relative',
                '&::before': {
                  content: '""',
                  position: 'absolute',
                  left: -8,
                  top: 6,
                  width: 13,
                  height: 13,
                  borderRadius: '50%',
                  bgcolor: here ? 'secondary.main' : 'rail',
                },
              }}
            >
              <Typography sx={{ fontWeight: 620 }}>
                {date(each.startedOn)}
                {each.changed && `: ${each.changed}`}
              </Typography>
              {here ? (
                <Typography>{each.question} (this one)</Typography>
              ) : (
                <Typography
                  component={Link}
                  to={`/trials/${each.id}`}
                  sx={{ color: 'secondary.main', display: 'block' }}
                >
                  {each.question}
                </Typography>
              )}
              {each.conclusions.map((conclusion) => (
                <Typography key={conclusion} variant="body2">
                  {conclusion}
                </Typography>
              ))}
              {!each.ended && <Typography variant="body2">Still running.</Typography>}
              {each.learnt && <Typography variant="body2">Learnt: {each.learnt}</Typography>}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** What somebody learnt from it, in their own words; of one version of the trial. */
export function Learnt({ trial }: { trial: Trial }) {
  const [words, setWords, clear] = useDraft(`learnt ${trial.id} ${trial.version}`, () => trial.learnt);
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/trials/{id}/learnt', {
          params: { path: { id: trial.id } },
          body: { version: trial.version, words },
        }),
      ),
    onSuccess: async () => {
      clear();
      await refresh();
    },
  });
  return (
    <Box component="section" aria-label="Learnt" sx={{ maxWidth: 720, display: 'grid', gap: 1 }}>
      <TextField
        label="What you learnt from it"
        value={words}
        multiline
        minRows={2}
        onChange={(event) => {
          setWords(event.target.value);
          save.reset();
        }}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      <ProblemNotice failure={save.error} />
      {words !== trial.learnt && (
        <Button
          className="no-print"
          variant="contained"
          sx={{ justifySelf: 'start' }}
          disabled={save.isPending}
          onClick={() => save.mutate()}
        >
          Keep it
        </Button>
      )}
    </Box>
  );
}
