import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dayjs from 'dayjs';
import { useState } from 'react';
import { DateField } from '../kit/DateField';

/** A report of some days as PDF. */
export function PeriodReport({ today }: { today: string }) {
  const [from, setFrom] = useState(() => dayjs(today).subtract(1, 'month').format('YYYY-MM-DD'));
  const [to, setTo] = useState(today);
  const wrong = !from || !to || to < from || dayjs(to).diff(from, 'day') > 400;
  const day = (label: string, value: string, onChange: (value: string) => void) => (
    <DateField
      size="small"
      label={label}
      value={value}
      onChange={onChange}
      sx={{ width: { xs: '100%', sm: 190 } }}
    />
  );
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
      {day('First day', from, setFrom)}
      {day('Last day', to, setTo)}
      <Button
        variant="contained"
        href={`/api/record/report.pdf?from=${from}&to=${to}`}
        target="_blank"
        disabled={wrong}
      >
        Report (PDF)
      </Button>
      {wrong && <span role="status">Choose a last day after the first, at most 400 days on.</span>}
    </Box>
  );
}
