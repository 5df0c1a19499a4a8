import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
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

interface Text {
  words: string;
}

const Lesson = fieldsOf<Text>();

/** What somebody learnt from it, in their own words; of one version of the trial. */
export function Learnt({ trial }: { trial: Trial }) {
  const form = useKeptForm<Text>(`learnt ${trial.id} ${trial.version}`, () => ({ words: trial.learnt }));
  const { words } = form.values;
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/trials/{id}/learnt', {
          params: { path: { id: trial.id } },
          body: { version: trial.version, words },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
    },
  });
  return (
    <Box component="section" aria-label="Learnt" sx={{ maxWidth: 720 }}>
      <Form
        form={form}
        failure={save.error}
        onChange={save.reset}
        onSubmit={() => save.mutate()}
        sx={{ display: 'grid', gap: 1 }}
      >
        <Lesson.Text name="words" label="What you learnt from it" lines={2} most={2000} />
        {words !== trial.learnt && (
          <Save busy={save.isPending} failure={save.error}>
            Keep it
          </Save>
        )}
      </Form>
    </Box>
  );
}
