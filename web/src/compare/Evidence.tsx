import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schema } from '../api/client';
import { useEvidence } from '../api/compare';
import { ProblemNotice } from '../kit/Notices';
import { Waiting } from '../kit/Page';
import { DataTable } from '../kit/DataTable';
import { daysHung, shares } from '../kit/axis';
import { days, percent, useUnits } from '../kit/units';
import { readAsk, writeAsk } from '../api/ask';
import { AskFields } from './AskFields';
import { DotChart, type Cloud } from './DotChart';
import { GroupBars } from './GroupBars';
import { GroupTable } from './GroupTable';
import { KeptAsks } from './KeptAsks';
import { Later } from '../kit/Later';
import { ModelTable } from './ModelTable';

type View = Schema['EvidenceView'];

const colours = [
  'var(--mui-palette-part-steak)',
  'var(--mui-palette-primary-main)',
  'var(--mui-palette-part-fat)',
  'var(--mui-palette-info-main)',
  'var(--mui-palette-warning-main)',
];
const REST = 'var(--mui-palette-part-water)';
const share = (chance: number) => `${Math.round(chance * 100)} %`;

const SIDE_BY_SIDE = 8;

/** All finished pieces, asked a question: which groups differ, by how much, and which pieces stand behind it. */
export function Evidence() {
  const [search, setSearch] = useSearchParams();
  const ask = readAsk(search);
  const evidence = useEvidence(ask);
  if (!evidence.data) {
    return <Waiting failure={evidence.error} />;
  }
  const { data } = evidence;
  const drawn = [...data.groups].sort((one, other) => other.pieces - one.pieces).slice(0, colours.length);
  const colourOf = (group: string) => colours[drawn.findIndex(({ name }) => name === group)] ?? REST;
  return (
    <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <AskFields
        ask={ask}
        facets={data.facets}
        onChange={(next) => setSearch(writeAsk(next), { replace: true })}
      />
      <ProblemNotice failure={evidence.error} />
      <KeptAsks query={writeAsk(ask)} />
      {data.pieces === 0 ? (
        <Typography role="status" sx={{ fontSize: '1.15rem' }}>
          {data.shop === 0
            ? 'Once a piece is cut, it is asked about here.'
            : 'No finished piece is like that. Ask for less.'}
        </Typography>
      ) : (
        <Answer data={data} ask={ask} colourOf={colourOf} />
      )}
    </Box>
  );
}

interface AnswerProps {
  data: View;
  ask: ReturnType<typeof readAsk>;
  colourOf: (group: string) => string;
}

function Answer({ data, ask, colourOf }: AnswerProps) {
  const query = writeAsk(ask);
  return (
    <>
      <Box component="section" aria-labelledby="groups" sx={{ display: 'grid', gap: 1.5 }}>
        <Typography id="groups" variant="h2">
          {data.pieces} of {data.shop} finished pieces
        </Typography>
        <GroupTable evidence={data} ask={ask} colourOf={colourOf} />
        {data.caveats.map((caveat) => (
          <Typography key={caveat} variant="body2" sx={{ color: 'text.secondary', maxWidth: 760 }}>
            {caveat}
          </Typography>
        ))}
        {data.model && (
          <ModelTable model={data.model} cost={data.measure === 'COST' || data.measure === 'COST_EATEN'} />
        )}
      </Box>
      <Later>
        <Pictures data={data} colourOf={colourOf} />
        <GroupBars groups={data.groups} />
        <Behind data={data} />
      </Later>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" href={`/api/evidence/pieces.csv?${query}`}>
          The pieces as a table (CSV)
        </Button>
        {data.model && (
          <Button variant="outlined" href={`/api/evidence/model.csv?${query}`}>
            The model as a table (CSV)
          </Button>
        )}
      </Box>
    </>
  );
}

function Pictures({ data, colourOf }: { data: View; colourOf: (group: string) => string }) {
  const units = useUnits();
  const navigate = useNavigate();
  const pick = (id: string) => void navigate(`/pieces/${id}`);
  const clouds = (y: (dot: Schema['DotView']) => number | undefined, curves: boolean): Cloud[] =>
    data.groups.map((group) => ({
      name: group.name,
      colour: colourOf(group.name),
      dots: data.dots
        .filter((dot) => dot.group === group.name)
        .flatMap((dot) => {
          const value = y(dot);
          return value === undefined
            ? []
            : [{ id: dot.id, name: `${dot.tag} ${dot.cut}`, x: dot.days, y: value }];
        }),
      curve: curves ? group.curve?.points.map(({ days, lost }) => ({ x: days, y: lost })) : undefined,
    }));
  const priced = data.dots.filter((dot) => costOf(dot) !== undefined);
  const tasted = data.dots.filter((dot) => dot.liked && dot.costMinorPerKg != null);
  const best = tasted.filter((dot) => !dot.beatenBy);
  const circles = new Set(tasted.map((dot) => dot.liked?.circle));
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))' },
        gap: 4,
      }}
    >
      <Picture title="Shrink against days">
        <DotChart
          label={`Shrink against days hung, ${data.dots.length} pieces, with a curve for each group of four or more.`}
          clouds={clouds((dot) => dot.shrink, true)}
          xLabel="days hung"
          yLabel=""
          x={daysHung}
          y={shares}
          fromZero
          onPick={pick}
        />
      </Picture>
      {priced.length > 0 && (
        <Picture title="What the steak cost, by the days it hung">
          <DotChart
            label={`Cost of the steak against days hung, ${priced.length} pieces.`}
            clouds={clouds(costOf, false)}
            xLabel="days hung"
            yLabel=""
            x={daysHung}
            y={units.axes.price}
            ratios
            onPick={pick}
          />
        </Picture>
      )}
      {tasted.length > 1 && (
        <Picture title="Taste against cost">
          <DotChart
            label={`How ${tasted.length} pieces were liked against what their steak cost.`}
            clouds={[
              {
                name: 'nobody beats it',
                colour: 'var(--mui-palette-part-steak)',
                dots: best.map(costDot),
              },
              {
                name: 'another is liked as much and costs no more',
                colour: REST,
                dots: tasted.filter((dot) => dot.beatenBy).map(costDot),
              },
            ]}
            xLabel="cost of the steak"
            yLabel=""
            x={units.axes.price}
            y={shares}
            onPick={pick}
          />
          <Typography variant="body2">
            Best trade-offs: {best.map(({ tag }) => tag).join(', ')}. Upwards: the chance that a taster likes
            it more than the middling piece it was tasted with.
            {circles.size > 1 &&
              ` ${circles.size} circles of pieces never met; only within one is anything beaten.`}
          </Typography>
        </Picture>
      )}
    </Box>
  );
}

/** Meat without a price costs nothing that could be compared. */
const costOf = (dot: Schema['DotView']) => (dot.costMinorPerKg ? dot.costMinorPerKg : undefined);

const costDot = (dot: Schema['DotView']) => ({
  id: dot.id,
  name: `${dot.tag} ${dot.cut}`,
  x: dot.costMinorPerKg ?? 0,
  y: dot.liked?.chance ?? 0,
});

function Picture({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ minWidth: 0, display: 'grid', gap: 1, alignContent: 'start' }}
    >
      <Typography variant="h3">{title}</Typography>
      {children}
    </Box>
  );
}

/** The pieces behind every figure above. */
function Behind({ data }: { data: View }) {
  const units = useUnits();
  const few = data.dots.length >= 2 && data.dots.length <= SIDE_BY_SIDE;
  return (
    <Box component="section" id="pieces" aria-labelledby="behind" sx={{ scrollMarginTop: 24 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap', mb: 1 }}>
        <Typography id="behind" variant="h2">
          The pieces behind it
        </Typography>
        {few && (
          <MuiLink
            component={Link}
            to={`/compare?p=${data.dots.map(({ id }) => id).join(',')}`}
            sx={{ color: 'secondary.main' }}
          >
            lay them side by side
          </MuiLink>
        )}
        {data.dots.length < data.pieces && (
          <Typography variant="body2">
            {data.dots.length} of them are listed and drawn; all are counted.
          </Typography>
        )}
      </Box>
      <Box sx={{ maxHeight: 420, overflowY: 'auto' }}>
        <DataTable list label="Pieces" sx={{ width: '100%' }}>
          <thead>
            <tr>
              {[
                'piece',
                'group',
                'days',
                'green',
                'shrink',
                'steak',
                `cost a ${units.perWeightUnit} steak`,
                'taste',
              ].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {data.dots.map((dot) => (
              <tr key={dot.id}>
                <th scope="row">
                  <MuiLink component={Link} to={`/pieces/${dot.id}`} sx={{ color: 'text.primary' }}>
                    {dot.tag} {dot.cut}
                  </MuiLink>
                </th>
                <td>{dot.group}</td>
                <td>{days(dot.days)}</td>
                <td>{units.weight(dot.greenGrams)}</td>
                <td>{percent(dot.shrink)}</td>
                <td>{percent(dot.steakYield)}</td>
                <td>{dot.costMinorPerKg == null ? 'no steak' : units.pricePer(dot.costMinorPerKg)}</td>
                <td>
                  {dot.liked &&
                    (dot.beatenBy
                      ? `${share(dot.liked.chance)}, beaten by ${dot.beatenBy}`
                      : `${share(dot.liked.chance)}, unbeaten`)}
                </td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      </Box>
    </Box>
  );
}
