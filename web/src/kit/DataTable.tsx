import Box from '@mui/material/Box';
import type { SxProps } from '@mui/material/styles';
import { useLayoutEffect, useRef, type ReactNode } from 'react';

interface Props {
  /** What the table shows; it scrolls sideways where the screen is narrow. */
  label: string;
  /** Whether it is a list on a phone: a row below the other, each value with the head of its column before it. */
  list?: boolean;
  children: ReactNode;
  sx?: SxProps;
}

const asList = {
  '@media (max-width: 599.95px)': {
    '&, & tbody, & tr, & th, & td': { display: 'block' },
    '& thead': { display: 'none' },
    '& tr': { borderTop: '1px solid', borderColor: 'divider', py: 1 },
    '& th, & td': {
      border: 'none !important',
      p: 0,
      minWidth: '0 !important',
      whiteSpace: 'normal !important',
    },
    '& tbody th': { fontSize: '1.15rem' },
    '& th a': { display: 'inline-flex', alignItems: 'center', minHeight: 48 },
    '& td:empty': { display: 'none' },
    '& td[data-head]::before': {
      content: 'attr(data-head) " "',
      color: 'text.secondary',
      fontWeight: 400,
      fontSize: '0.9rem',
    },
  },
};

/** A table of hairlines, read from the left. */
export function DataTable({ label, list = false, children, sx = {} }: Props) {
  const table = useRef<HTMLTableElement>(null);
  useLayoutEffect(() => {
    if (!list || !table.current) {
      return;
    }
    const heads = [...(table.current.tHead?.rows[0]?.cells ?? [])].map((head) => head.textContent);
    for (const row of [...table.current.tBodies].flatMap((body) => [...body.rows])) {
      for (const cell of [...row.cells].filter((each) => each.tagName === 'TD')) {
        cell.dataset.head = heads[cell.cellIndex] ?? '';
      }
    }
  });
  return (
    <Box sx={{ overflowX: 'auto', maxWidth: '100%' }} tabIndex={0} role="region" aria-label={label}>
      <Box
        component="table"
        ref={table}
        sx={[
          {
            borderCollapse: 'collapse',
            '& th, & td': {
              textAlign: 'left',
              verticalAlign: 'top',
              py: 0.75,
              pr: 3,
              borderTop: '1px solid',
              borderColor: 'divider',
            },
          },
          ...(Array.isArray(sx) ? sx : [sx]),
          list ? asList : {},
        ]}
      >
        {children}
      </Box>
    </Box>
  );
}
