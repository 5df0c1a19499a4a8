import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Answers, Schema } from '../api/client';
import { useCautions } from '../api/guide';
import { Problem } from '../api/client';

/** What the server said when it did not carry something out; nothing when it asks, which is Questions' part. */
export function ProblemNotice({ failure }: { failure: unknown }) {
  if (!failure || (failure instanceof Problem && failure.questions.length > 0)) {
    return null;
  }
  const text =
    failure instanceof Problem ? failure.message : 'Something went wrong here. What you typed is kept.';
  return (
    <Alert severity="error" variant="outlined">
      {text}
    </Alert>
  );
}

interface QuestionsProps {
  failure: unknown;
  busy: boolean;
  /** The word on the button that keeps the value. */
  keep?: string;
  /** What else can be done, beside the button. */
  or?: ReactNode;
  /** Whether it lets whoever is at something else go on. */
  quiet?: boolean;
  onAnswer: (answers: Answers) => void;
}

/** Doubts about a value, each to be settled before it is kept. Changing the value instead is always open. */
export function Questions({
  failure,
  busy,
  keep = 'Keep it',
  or = 'or change the value above',
  quiet = false,
  onAnswer,
}: QuestionsProps) {
  const [reasons, setReasons] = useState<Answers>({});
  const box = useRef<HTMLDivElement>(null);
  const questions = failure instanceof Problem ? failure.questions : [];
  useEffect(() => {
    // The question may lie below the fold; whoever is asked must see it.
    if (!quiet) {
      box.current?.scrollIntoView({ block: 'nearest' });
      box.current?.focus({ preventScroll: true });
    }
  }, [failure, quiet]);
  if (questions.length === 0) {
    return null;
  }
  const missing = questions.some((question) => question.needsReason && !reasons[question.id]?.trim());
  return (
    <Box
      ref={box}
      tabIndex={-1}
      role="alertdialog"
      aria-label="Please check"
      sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2, py: 0.5 }}
    >
      <Stack spacing={1.5}>
        {questions.map((question) => (
          <div key={question.id}>
            <Typography sx={{ fontWeight: 620, mb: question.needsReason ? 1.5 : 0 }}>
              {question.sentence}
            </Typography>
            {question.needsReason && (
              <TextField
                size="small"
                label="Reason"
                value={reasons[question.id] ?? ''}
                onChange={(event) => setReasons({ ...reasons, [question.id]: event.target.value })}
              />
            )}
          </div>
        ))}
        <Box>
          <Button
            variant="contained"
            color="warning"
            disabled={missing || busy}
            onClick={() =>
              onAnswer(Object.fromEntries(questions.map((each) => [each.id, reasons[each.id]?.trim() ?? ''])))
            }
          >
            {keep}
          </Button>
          <Typography variant="body2" component="span" sx={{ ml: 2, color: 'text.secondary' }}>
            {or}
          </Typography>
        </Box>
      </Stack>
    </Box>
  );
}

/** A caution of the trade by its name, with its place in the guide. */
export function Caution({ of }: { of: Schema['CautionView']['caution'] }) {
  const topics = useCautions().data;
  const found = topics?.flatMap(({ cautions }) => cautions).find(({ caution }) => caution === of);
  return found ? <CautionText topic={found.topic}>{found.sentence}</CautionText> : null;
}

/** The same of one that came with what it is about. */
export function CautionText({
  children,
  topic,
}: {
  children: string;
  topic: Schema['CautionView']['topic'];
}) {
  return (
    <Typography
      variant="body2"
      sx={{ borderLeft: '3px solid', borderColor: 'part.fat', pl: 1.5, color: 'text.secondary' }}
    >
      {children} Local law and a licensed practitioner decide.{' '}
      <MuiLink component={Link} to={`/guide#${topic.toLowerCase()}`} sx={{ color: 'secondary.main' }}>
        Rule and source
      </MuiLink>
    </Typography>
  );
}
