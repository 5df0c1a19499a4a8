import Box from '@mui/material/Box';
import { fieldsOf } from '../kit/form/fields';
import type { Draft } from './draft';

const Contents = fieldsOf<Draft>();

/** What in a mixture may clash with how the piece is aged. */
export function InIt() {
  return (
    <Box className="whole" sx={{ display: 'grid' }}>
      <Contents.Check name="rawGarlicOrHerbs" label="raw garlic or fresh herbs in it" />
      <Contents.Check name="oil" label="oil in it" />
      <Contents.Check name="spirit" label="a strong spirit in it" />
    </Box>
  );
}
