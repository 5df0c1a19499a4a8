import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { useTitle } from '../kit/drafts';
import { SectionGlyph } from '../kit/SectionGlyph';

/** What stands before anybody is in: a piece as it will be drawn everywhere, and the form. */
export function Door({ title, children }: { title: string; children: ReactNode }) {
  useTitle(title);
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100vh',
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr minmax(380px, 480px)' },
        alignItems: 'center',
      }}
    >
      <Box
        sx={{
          display: { xs: 'none', md: 'grid' },
          placeItems: 'center',
          borderTop: '4px solid',
          borderColor: 'rail',
          height: '100%',
          alignContent: 'start',
        }}
      >
        <Box sx={{ width: 2, height: 90, bgcolor: 'rail' }} />
        <SectionGlyph
          shape="EYE_WITH_CAP"
          size={420}
          section={{ now: 0.86, fat: 0.09, bone: 0, crust: 0.16, pockets: 0, steak: 0.61 }}
        />
        <Typography sx={{ color: 'text.secondary', maxWidth: 420, textAlign: 'center', mt: 2 }}>
          Hung at the dashed line. What is gone is water; the rim is crust; the core is the steak to come.
        </Typography>
      </Box>
      <Box
        sx={{
          p: { xs: 3, md: 6 },
          bgcolor: 'background.paper',
          minHeight: '100vh',
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'center',
        }}
      >
        <Typography variant="h1" sx={{ fontSize: '2.8rem' }}>
          Elvaro
        </Typography>
        <Typography sx={{ color: 'text.secondary', mb: 4 }}>
          Dry-ageing, measured: what hangs, what is gone, what it gave.
        </Typography>
        <Typography variant="h2" component="h2" sx={{ mb: 2 }}>
          {title}
        </Typography>
        {children}
      </Box>
    </Box>
  );
}
