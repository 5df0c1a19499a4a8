import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { figure } from '../kit/units';

type Lesson = Schema['LessonOf'];

const signed = (value: number): string => `${value < 0 ? '−' : '+'}${figure(Math.abs(value) * 100, 1)}`;

const told = ({ measure, value, band }: Lesson): string => {
  const unit = measure === 'COST' || measure === 'COST_EATEN' ? ' %' : '';
  return `${signed(value)}${unit} (${signed(band.low)} to ${signed(band.high)})`;
};

/** What the shop has learnt of each treatment, over all its trials, against the control. */
export function Lessons({ lessons }: { lessons: Schema['LessonsView'] }) {
  if (lessons.treatments.length === 0) {
    return null;
  }
  const measures = lessons.treatments[0]?.measures ?? [];
  return (
    <Box component="section" aria-labelledby="lessons">
      <Typography id="lessons" variant="h2" sx={{ mb: 0.5 }}>
        What this shop has learnt
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1, maxWidth: 720 }}>
        Each treatment against its control, in points of the green weight; costs in per cent. In brackets what
        holds four times in five. Few pieces leave a figure near zero, whatever they showed.
      </Typography>
      <DataTable
        list
        label="Treatments against their controls"
        sx={{ '& th, & td': { whiteSpace: 'nowrap' } }}
      >
        <thead>
          <tr>
            <th scope="col">Treatment</th>
            {measures.map((each) => (
              <th scope="col" key={each.measure}>
                {each.label}
              </th>
            ))}
            <th scope="col">rests on</th>
          </tr>
        </thead>
        <tbody>
          {lessons.treatments.map((treatment) => (
            <tr key={treatment.kind}>
              <th scope="row">{treatment.label}</th>
              {measures.map(({ measure }) => {
                const own = treatment.measures.find((each) => each.measure === measure);
                const clear = own && (own.band.low > 0 || own.band.high < 0);
                return (
                  <Box component="td" key={measure} sx={{ fontWeight: clear ? 640 : 400 }}>
                    {own ? told(own) : ''}
                  </Box>
                );
              })}
              <td>
                {treatment.pieces} {treatment.pieces === 1 ? 'piece' : 'pieces'} in {treatment.trials}{' '}
                {treatment.trials === 1 ? 'trial' : 'trials'}
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      {lessons.leftOut > 0 && (
        <Typography variant="body2" sx={{ mt: 1 }}>
          {lessons.leftOut === 1 ? 'One trial is' : `${lessons.leftOut} trials are`} left out: more than the
          treatment was changed, or there was no plain control.
        </Typography>
      )}
    </Box>
  );
}
