import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { useLabelSizes } from '../api/stock';
import { OnlyHere } from '../kit/OnlyHere';

interface Props {
  /** Packs to be labelled; or a piece to be tagged. */
  packs?: string[];
  piece?: string;
}

/** Labels as PDF, in a size one has. */
export function LabelButton({ packs, piece }: Props) {
  const sizes = useLabelSizes();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const address = (size: string) =>
    piece
      ? `/api/pieces/${piece}/hang-tag?size=${size}`
      : `/api/labels?size=${size}&packs=${packs?.join(',')}`;
  return (
    <>
      <Button variant="outlined" onClick={(event) => setAnchor(event.currentTarget)}>
        {piece ? 'Hang tag …' : packs?.length === 1 ? 'Label …' : 'Labels …'}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        <Box component="li" sx={{ px: 2, maxWidth: 320 }}>
          <OnlyHere />
        </Box>
        {sizes.data?.map(({ size, label }) => (
          <MenuItem
            key={size}
            component="a"
            href={address(size)}
            target="_blank"
            rel="noreferrer"
            onClick={() => setAnchor(null)}
          >
            {label}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
