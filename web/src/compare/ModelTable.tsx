import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { figure as written } from '../kit/units';

const figure = (value: number) =>
  Math.abs(value) >= 0.001 || value === 0 ? written(value, 4) : value.toExponential(2);

/** The linear model as any statistics program prints it. */
export function ModelTable({ model, cost }: { model: Schema['ModelView']; cost: boolean }) {
  return (
    <Box component="details">
      <Box component="summary" sx={{ cursor: 'pointer', fontWeight: 620, minHeight: 32 }}>
        The linear model behind it
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary', my: 1, maxWidth: 720 }}>
        Least squares on {cost ? 'the natural logarithm of the cost' : 'the fraction of the green weight'},
        with days and the logarithm of the weight about their means. {model.pieces} pieces, {model.freedom}{' '}
        degrees of freedom, residual standard deviation {figure(model.residualSd)}, R²{' '}
        {written(model.explained, 3)}.{model.dropped.length > 0 && ` Left out: ${model.dropped.join(', ')}.`}
      </Typography>
      <DataTable list label="Linear model">
        <thead>
          <tr>
            {['term', 'estimate', 'standard error', 't', 'p', '95 % from', 'to'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {model.terms.map((term) => (
            <tr key={term.name}>
              <th scope="row">{term.name}</th>
              {[term.estimate, term.error, term.t, term.p, term.low, term.high].map((value, index) => (
                <td key={index}>{figure(value)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </DataTable>
    </Box>
  );
}
