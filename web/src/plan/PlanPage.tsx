import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useForecastsOf } from '../api/compare';
import type { Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { useCuts } from '../api/lots';
import { useMethods } from '../api/pieces';
import { useFirstPlan, useForward } from '../api/plans';
import { Link } from 'react-router';
import { Form } from '../kit/form/Form';
import { Group } from '../kit/form/group';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { Curves } from './Curves';
import { KeptPlans } from './KeptPlans';
import { KeepPlan } from './KeepPlan';
import { Outcome } from './Outcome';
import { Rooms } from './Rooms';
import { firstScenario, scenarioBody, scenarioNames, type Scenario } from './scenario';
import { ScenarioFields } from './ScenarioFields';
import { TwentyTimes } from '../rehearsal/TwentyTimes';
import { FromATable } from './FromATable';

const names = { a: scenarioNames('a'), b: scenarioNames('b') };

/** How long, which way, how much to buy, when to start. */
export default function PlanPage() {
  const cuts = useCuts();
  const methods = useMethods();
  const chambers = useChambers();
  const first = useFirstPlan();
  if (!cuts.data || !methods.data || !chambers.data || !first.data) {
    return <Waiting failure={cuts.error ?? methods.error ?? chambers.error ?? first.error} />;
  }
  return <Planner cuts={cuts.data} methods={methods.data} chambers={chambers.data} first={first.data} />;
}

interface Props {
  cuts: Schema['CutView'][];
  methods: Schema['MethodView'][];
  chambers: Schema['ChamberForm'][];
  first: Schema['FirstPlan'];
}

interface Draft {
  direction: 'piece' | 'table';
  a: Scenario;
  b: Scenario | null;
}

function Planner({ cuts, methods, chambers, first }: Props) {
  const units = useUnits();
  // A chamber that is gone since the draft was left is nobody's.
  const known = (each: Scenario): Scenario =>
    chambers.some((chamber) => chamber.id === each.chamberId) ? each : { ...each, chamberId: '' };
  const form = useKeptForm<Draft>(
    'plan',
    () => ({ direction: 'piece', a: firstScenario(first, units), b: null }),
    (kept) => ({ ...kept, a: known(kept.a), b: kept.b && known(kept.b) }),
  );
  const { values: draft, change } = form;
  const [letter, setLetter] = useState<'a' | 'b'>('a');
  const open = draft.b === null || draft.direction === 'table' ? 'a' : letter;
  const scenario = (open === 'a' ? draft.a : draft.b) ?? draft.a;
  const howGood = useForecastsOf(draft.a.method);
  const bodyA = scenarioBody(draft.a, units);
  const bodyB = draft.b ? scenarioBody(draft.b, units) : null;
  const a = useForward(bodyA);
  const b = useForward(bodyB);
  const shown = open === 'a' ? a : b;
  const latest = useRef(bodyA);
  useEffect(() => {
    latest.current = open === 'b' ? bodyB : bodyA;
  });
  const openBody = useCallback(() => latest.current, []);
  // The same array while its answers are the same: what a slider does not change is not drawn again.
  const pricedA = (bodyA?.priceMinorPerKg ?? 0) > 0;
  const pricedB = (bodyB?.priceMinorPerKg ?? 0) > 0;
  const shownB = draft.b === null ? undefined : b.data;
  const ways = useMemo(
    () => [
      ...(a.data ? [{ letter: 'A', forward: a.data, priced: pricedA }] : []),
      ...(shownB ? [{ letter: 'B', forward: shownB, priced: pricedB }] : []),
    ],
    [a.data, shownB, pricedA, pricedB],
  );
  return (
    <Page
      title="Plan"
      aside={
        <>
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="Where the plan starts"
            value={draft.direction}
            onChange={(_, direction: Draft['direction'] | null) => direction && change({ direction })}
          >
            <ToggleButton value="piece">From a piece</ToggleButton>
            <ToggleButton value="table">Back from a table</ToggleButton>
          </ToggleButtonGroup>
          <MuiLink component={Link} to="/worth" sx={{ color: 'secondary.main' }}>
            Is it worth it?
          </MuiLink>
        </>
      }
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '330px minmax(0, 1fr)' },
          gap: { xs: 3, md: 5 },
          alignItems: 'start',
        }}
      >
        <Form
          form={form}
          failure={shown.error}
          names={names[open]}
          label="What is planned"
          sx={{ display: 'grid', gap: 2 }}
        >
          {draft.direction === 'piece' && (
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
              {draft.b === null ? (
                <Button
                  size="small"
                  variant="outlined"
                  onClick={() => {
                    change({ b: { ...draft.a } });
                    setLetter('b');
                  }}
                >
                  Set another way beside it
                </Button>
              ) : (
                <>
                  <ToggleButtonGroup
                    exclusive
                    size="small"
                    aria-label="Which way"
                    value={open}
                    onChange={(_, next: 'a' | 'b' | null) => next && setLetter(next)}
                  >
                    <ToggleButton value="a">Way A</ToggleButton>
                    <ToggleButton value="b">Way B</ToggleButton>
                  </ToggleButtonGroup>
                  <Button
                    size="small"
                    color="inherit"
                    onClick={() => {
                      change({ b: null });
                      setLetter('a');
                    }}
                  >
                    Drop B
                  </Button>
                </>
              )}
            </Box>
          )}
          <Group name={open}>
            <ScenarioFields
              key={open}
              scenario={scenario}
              first={first}
              methods={methods}
              chambers={chambers}
              air={shown.data}
              miss={shown.data?.setPointMiss}
              withoutWeight={draft.direction === 'table'}
            />
          </Group>
        </Form>
        {draft.direction === 'piece' ? (
          <Box sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
            <ProblemNotice failure={a.error ?? b.error} />
            {a.isLoading && <Box sx={{ minHeight: 1100 }} /> /* so that nothing jumps once it is there */}
            {ways.length > 0 && (
              <>
                <Curves ways={ways} />
                <Box
                  sx={{
                    display: 'grid',
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: ways.length > 1 ? '1fr 1fr' : '1fr' },
                    gap: 4,
                  }}
                >
                  {ways.map((way) => (
                    <Outcome
                      key={way.letter}
                      forward={way.forward}
                      letter={ways.length > 1 ? way.letter : undefined}
                      priced={way.priced}
                      greenGrams={(way.letter === 'A' ? bodyA : bodyB)?.greenGrams ?? 0}
                      cutCode={(way.letter === 'A' ? draft.a : draft.b)?.cutCode ?? ''}
                    />
                  ))}
                </Box>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                  {restsOn(ways[0]?.forward)} {howGood}
                </Typography>
              </>
            )}
            {bodyA && (
              <>
                <Rooms scenario={open === 'b' && bodyB ? bodyB : bodyA} />
                <TwentyTimes plan={rehearsed(open === 'b' && bodyB ? bodyB : bodyA, chambers)} />
                <KeepPlan
                  scenario={openBody}
                  cutCode={scenario.cutCode}
                  chamberId={scenario.chamberId || undefined}
                  chambers={chambers}
                  cuts={cuts}
                />
              </>
            )}
          </Box>
        ) : (
          <FromATable scenario={bodyA} chambers={chambers} cuts={cuts} />
        )}
      </Box>
      <KeptPlans />
    </Page>
  );
}

/** The plan as it is rehearsed: in a place of the chamber's kind. */
function rehearsed(plan: Schema['ScenarioForm'], chambers: Schema['ChamberForm'][]): Schema['FreePlan'] {
  return {
    cutCode: plan.cutCode,
    grams: plan.greenGrams,
    boneIn: plan.boneIn,
    fatCoverMm: plan.fatCoverMm,
    method: plan.method,
    coating: plan.coating,
    place: chambers.find(({ id }) => id === plan.chamberId)?.kind ?? 'REFRIGERATOR',
    days: plan.targetDays,
  };
}

function restsOn(forward: Schema['ForwardView'] | undefined): string {
  if (!forward || forward.restsOnPieces === 0) {
    return 'This rests on the estimates alone: no piece of this method has been finished in this chamber yet.';
  }
  const pieces = `${forward.restsOnPieces} finished ${forward.restsOnPieces === 1 ? 'piece' : 'pieces'}`;
  return `This rests on ${pieces} of this method in this chamber, and on ${forward.restsOnBenches} benches for crust and steak.`;
}
