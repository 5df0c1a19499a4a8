import Box from '@mui/material/Box';

/** A plate with its code on the rim: all that is known of what lies on it. */
export function Plate({ code, size = 220 }: { code: number; size?: number }) {
  return (
    <Box
      component="svg"
      viewBox="0 0 220 220"
      role="img"
      aria-label={`Plate ${code}`}
      sx={{ width: size, height: size, display: 'block', flex: 'none' }}
    >
      <Box
        component="circle"
        cx="110"
        cy="110"
        r="106"
        sx={{ fill: 'var(--mui-palette-background-paper)', stroke: 'var(--mui-palette-rail)' }}
        strokeWidth="2"
      />
      <Box
        component="circle"
        cx="110"
        cy="110"
        r="80"
        sx={{ fill: 'none', stroke: 'var(--mui-palette-divider)' }}
        strokeWidth="2"
      />
      <Box
        component="text"
        x="110"
        y="134"
        textAnchor="middle"
        sx={{
          fill: 'var(--mui-palette-text-primary)',
          fontFamily: 'h1.fontFamily',
          fontWeight: 700,
          fontSize: 72,
        }}
      >
        {code}
      </Box>
    </Box>
  );
}
