import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { Draft } from './draft';

const inIt = [
  ['rawGarlicOrHerbs', 'raw garlic or fresh herbs in it'],
  ['oil', 'oil in it'],
  ['spirit', 'a strong spirit in it'],
] as const;

type Contents = Pick<Draft, (typeof inIt)[number][0]>;

/** What in a mixture may clash with how the piece is aged. */
export function InIt({
  contents,
  onChange,
}: {
  contents: Contents;
  onChange: (part: Partial<Contents>) => void;
}) {
  return (
    <Box className="whole" sx={{ display: 'grid' }}>
      {inIt.map(([part, words]) => (
        <FormControlLabel
          key={part}
          control={
            <Checkbox checked={contents[part]} onChange={(_, checked) => onChange({ [part]: checked })} />
          }
          label={words}
        />
      ))}
    </Box>
  );
}
