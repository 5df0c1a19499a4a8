import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useParams, useSearchParams } from 'react-router';
import { useToday } from '../api/house';
import type { Schema } from '../api/client';
import { useChamberRecord } from '../api/chambers';
import { useChanges } from '../api/settings';
import { usePieceRecord } from '../api/pieces';
import { DateField } from '../kit/DateField';
import { Page, Waiting } from '../kit/Page';
import { date, moment, useUnits } from '../kit/units';

type Record_ = Schema['RecordView'];

/** All that was written down about a piece. */
export function PieceRecord() {
  const { id = '' } = useParams();
  const record = usePieceRecord(id);
  return <Sheet record={record.data} failure={record.error} file={`/api/pieces/${id}/record.csv`} />;
}

/** The days a record is of, and the fields they are chosen in. */
function useDays() {
  const [search, setSearch] = useSearchParams();
  const today = useToday();
  const to = search.get('to') ?? today;
  const from = search.get('from') ?? dayjs(to).subtract(30, 'day').format('YYYY-MM-DD');
  const day = (key: 'from' | 'to', label: string, value: string) => (
    <DateField
      size="small"
      label={label}
      value={value}
      onChange={(chosen) => chosen && setSearch({ from, to, [key]: chosen }, { replace: true })}
    />
  );
  const fields = (
    <>
      {day('from', 'From', from)}
      {day('to', 'To', to)}
    </>
  );
  return { from, to, fields, days: `${date(from)} to ${date(to)}` };
}

/** A chamber over some days. */
export function ChamberRecord() {
  const { id = '' } = useParams();
  const { from, to, fields, days } = useDays();
  const record = useChamberRecord(id, from, to);
  return (
    <Sheet
      record={record.data}
      failure={record.error}
      days={days}
      file={`/api/chambers/${id}/record.csv?from=${from}&to=${to}`}
    >
      {fields}
    </Sheet>
  );
}

/** What was changed in all the house over some days. */
export function ChangesRecord() {
  const { from, to, fields, days } = useDays();
  const record = useChanges(from, to);
  return (
    <Sheet
      record={record.data}
      failure={record.error}
      days={days}
      file={`/api/record/changes.csv?from=${from}&to=${to}`}
    >
      {fields}
    </Sheet>
  );
}

interface SheetProps {
  record: Record_ | undefined;
  failure: unknown;
  /** Of which days, where they were chosen. */
  days?: string;
  file: string;
  children?: React.ReactNode;
}

function Sheet({ record, failure, days, file, children }: SheetProps) {
  if (!record) {
    return <Waiting failure={failure} />;
  }
  return (
    <Page title={`Record of ${record.title}`}>
      <Typography sx={{ mb: 2, maxWidth: 900 }}>
        {record.about}. {days ?? `${moment(record.from)} to ${moment(record.to)}`}.
      </Typography>
      <Box className="no-print" sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 3 }}>
        {children}
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        <Button variant="outlined" component="a" href={file}>
          Save as CSV
        </Button>
      </Box>
      <Entries rows={record.rows} />
      {record.airs.map((air, index) => (
        <AirByDay key={`${air.chamber} ${index}`} air={air} />
      ))}
    </Page>
  );
}

const table = {
  borderCollapse: 'collapse',
  width: '100%',
  maxWidth: 1100,
  fontSize: '0.9rem',
  '& th, & td': {
    textAlign: 'left',
    verticalAlign: 'top',
    py: 0.5,
    pr: 2,
    borderTop: '1px solid',
    borderColor: 'divider',
  },
} as const;

const sideways = { overflowX: 'auto', mb: 4 };

const narrow = { whiteSpace: 'nowrap' } as const;

const standingWords = { STANDS: '', REPLACED: 'replaced', CORRECTS: 'corrects' } as const;

function Entries({ rows }: { rows: Record_['rows'] }) {
  const units = useUnits();
  return (
    <Box sx={sideways} tabIndex={0} role="region" aria-label="What was written down">
      <Typography variant="h2" sx={{ mb: 1 }}>
        {rows.length === 0 ? 'Nothing was written down' : 'What was written down'}
      </Typography>
      {rows.length > 0 && (
        <Box component="table" sx={table}>
          <thead>
            <tr>
              {['When', 'Of', 'What', 'Weight', 'Words', 'By', 'Entered', ''].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, index) => (
              <Box
                component="tr"
                key={index}
                sx={
                  row.standing === 'REPLACED' ? { textDecoration: 'line-through', opacity: 0.75 } : undefined
                }
              >
                <td style={narrow}>{moment(row.at)}</td>
                <td>{row.of}</td>
                <td style={narrow}>{row.what}</td>
                <td style={narrow}>{row.grams != null && units.weight(row.grams)}</td>
                <td>{row.words}</td>
                <td style={narrow}>{row.by}</td>
                <td style={narrow}>{moment(row.recordedAt)}</td>
                <td>{standingWords[row.standing]}</td>
              </Box>
            ))}
          </tbody>
        </Box>
      )}
    </Box>
  );
}

function AirByDay({ air }: { air: Record_['airs'][number] }) {
  const units = useUnits();
  const span = (low: number | undefined, high: number | undefined, write: (value: number) => string) =>
    low == null || high == null ? '' : `${write(low)} to ${write(high)}`;
  const percentOf = (value: number) => `${value.toFixed(0)} %`;
  return (
    <Box sx={sideways} tabIndex={0} role="region" aria-label={`Air of ${air.chamber}`}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Air of {air.chamber}
      </Typography>
      {air.events.map((event) => (
        <Typography key={event.from + event.kind} sx={{ mb: 0.5 }}>
          <strong>
            {event.kind === 'WARM'
              ? units.sentence(`Above ⟦temperature 5⟧, up to ⟦temperature ${event.peakCelsius?.toFixed(1)}⟧`)
              : 'No reading'}
          </strong>{' '}
          {moment(event.from)} to {moment(event.to)}.{' '}
          {event.filledBy.map(
            (fill) =>
              `Filled afterwards with ${fill.readings} readings of the file ${fill.name} (SHA-256 ${fill.checksum}) by ${fill.by}, ${moment(fill.at)}. `,
          )}
          {event.decisions.length === 0
            ? 'Undecided.'
            : event.decisions.map((each) => `${each.words} ${each.by}, ${moment(each.at)}.`).join(' ')}
        </Typography>
      ))}
      {air.days.length === 0 ? (
        <Typography>No air was recorded.</Typography>
      ) : (
        <Box component="table" sx={table}>
          <thead>
            <tr>
              {['Day', 'Temperature, mean', 'lowest to highest', 'Humidity, mean', 'lowest to highest'].map(
                (head, index) => (
                  <th key={index} scope="col">
                    {head}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {air.days.map((day) => (
              <tr key={day.day}>
                <td>{date(day.day)}</td>
                <td>{units.temperature(day.celsius)}</td>
                <td>{span(day.celsiusMin, day.celsiusMax, units.temperature)}</td>
                <td>{day.humidityPercent != null && percentOf(day.humidityPercent)}</td>
                <td>{span(day.humidityMin, day.humidityMax, percentOf)}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
    </Box>
  );
}
