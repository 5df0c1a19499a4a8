import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode, Ref } from 'react';
import type { Answers } from '../../api/client';
import { ProblemNotice, Questions } from '../Notices';

interface Props {
  /** What the button says. */
  children: ReactNode;
  busy: boolean;
  failure: unknown;
  /** What sends it again once it is answered what the server asked. */
  onAnswer?: (answers: Answers) => void;
  /** The word on the button that keeps a doubtful value. */
  keep?: string;
  /** What else can be done than keeping it. */
  or?: string;
  disabled?: boolean;
  /** For what throws meat away. */
  grave?: boolean;
  button?: Ref<HTMLButtonElement>;
  /** What else can be done, beside the button. */
  beside?: ReactNode;
  /** Stays in sight on a phone however long the form is: its figure comes by itself. */
  inSight?: boolean;
}

/**
 * The end of a form: the button that sends it, and below it what the server said or asks, so that nothing comes to lie
 * under a finger that is still on the button.
 */
export function Save({
  children,
  busy,
  failure,
  onAnswer,
  keep,
  or,
  disabled,
  grave,
  button,
  beside,
  inSight,
}: Props) {
  return (
    <Box
      className="whole"
      sx={[
        { display: 'grid', gap: 2 },
        inSight === true && {
          position: { xs: 'sticky', md: 'static' },
          bottom: 'var(--elvaro-thumb, 0px)',
          zIndex: 2,
          bgcolor: { xs: 'background.default', md: 'transparent' },
          py: { xs: 1, md: 0 },
        },
      ]}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          ref={button}
          type="submit"
          variant="contained"
          size="large"
          color={grave ? 'error' : 'primary'}
          disabled={busy || disabled}
          sx={{ px: 5, minHeight: 52, flex: { xs: 'auto', sm: 'none' } }}
        >
          {children}
        </Button>
        {beside}
      </Box>
      <ProblemNotice failure={failure} />
      {onAnswer && <Questions failure={failure} busy={busy} keep={keep} or={or} onAnswer={onAnswer} />}
    </Box>
  );
}
