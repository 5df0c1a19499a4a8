import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useEffect, type ReactNode } from 'react';
import { Link as RouterLink, useLocation } from 'react-router';
import { useInspectionRules, useMethods } from '../api/queries';
import { Page } from '../kit/Page';
import { answers } from '../look/words';
import { forecastWorking, workedExample } from './example';
import {
  benchWorking,
  devices,
  gameWorking,
  ledgerWorking,
  rules,
  tastingWorking,
  trialWorking,
} from './rules';

/** Why, and is it dangerous. */
export default function GuidePage() {
  const methods = useMethods();
  const { hash } = useLocation();
  useEffect(() => {
    document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash, methods.data]);
  return (
    <Page title="Guide">
      <Typography sx={{ maxWidth: 720, mb: 4, fontSize: '1.1rem' }}>
        Local law and a licensed practitioner decide what may be eaten and sold. A shop needs its own written
        food-safety plan. Elvaro measures, works out and asks; it clears nothing for eating.
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' },
          columnGap: 8,
          rowGap: 5,
        }}
      >
        <Part title="Cautions">
          {rules.map((rule) => (
            <Box
              key={rule.id}
              id={rule.id}
              sx={{
                scrollMarginTop: 24,
                '&:target': { bgcolor: 'background.paper' },
                py: 1,
                borderTop: '1px solid',
                borderColor: 'divider',
              }}
            >
              <Typography variant="h3">{rule.title}</Typography>
              {rule.says.map((sentence) => (
                <Typography key={sentence}>{sentence}</Typography>
              ))}
              {rule.id === 'looking' && <Looking />}
              <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                {rule.source}
              </Typography>
            </Box>
          ))}
        </Part>
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          <Part title="How the numbers are worked out">
            <Terms terms={ledgerWorking} />
          </Part>
          <Part title="How the forecast comes about">
            <Terms terms={forecastWorking} />
          </Part>
          <Part title="How a trial is drawn and judged">
            <Terms terms={trialWorking} />
          </Part>
          <Part title="Bench, packs and grind">
            <Terms terms={benchWorking} />
          </Part>
          <Part title="Game">
            <Terms terms={gameWorking} />
          </Part>
          <Part title="How a tasting is set and judged">
            <Terms terms={tastingWorking} />
          </Part>
          <Part title="How probes and scales speak">
            <Terms terms={devices} />
          </Part>
          <Part title="Methods, and what the surface wants">
            {methods.data?.map((method) => (
              <Typography key={method.method} sx={{ py: 0.5 }}>
                <strong>{method.label}.</strong> {method.surface}
              </Typography>
            ))}
          </Part>
          <Part title="Treatments">
            <Typography>
              What can be put on a piece, how much of it, its steps, and what it must not meet:{' '}
              <Link component={RouterLink} to="/treatments" sx={{ color: 'secondary.main' }}>
                work out a dose
              </Link>
              .
            </Typography>
          </Part>
        </Box>
      </Box>
      <Box sx={{ mt: 5 }} id="example">
        <Part title="From buying to expected yield, by hand and by Elvaro">
          <Example />
        </Part>
      </Box>
    </Page>
  );
}

/** The rules a look is answered by, as they stand in Elvaro. */
function Looking() {
  const inspection = useInspectionRules();
  return (
    <Terms
      terms={(inspection.data ?? []).map((rule) => [answers[rule.answer], `${rule.seen}. ${rule.reason}`])}
    />
  );
}

/** Names with what they mean. */
function Terms({ terms }: { terms: [string, string][] }) {
  return (
    <Box
      component="dl"
      sx={{
        m: 0,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '11rem 1fr' },
        rowGap: 1,
      }}
    >
      {terms.map(([name, meaning]) => (
        <Box key={name + meaning} sx={{ display: 'contents' }}>
          <Typography component="dt" sx={{ fontWeight: 620 }}>
            {name}
          </Typography>
          <Typography component="dd" sx={{ m: 0 }}>
            {meaning}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

function Example() {
  return (
    <>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          maxWidth: 1080,
          '& th, & td': {
            textAlign: 'left',
            verticalAlign: 'top',
            py: 0.75,
            pr: 3,
            borderTop: '1px solid',
            borderColor: 'divider',
            fontWeight: 400,
          },
        }}
      >
        <thead>
          <tr>
            <th scope="col">step</th>
            <th scope="col">by hand</th>
            <th scope="col">Elvaro</th>
          </tr>
        </thead>
        <tbody>
          {workedExample.map(({ step, byHand, elvaro }) => (
            <tr key={step}>
              <th scope="row">{step}</th>
              <Box component="td" sx={{ whiteSpace: 'nowrap', fontWeight: '620 !important' }}>
                {byHand}
              </Box>
              <Box component="td" sx={{ whiteSpace: 'nowrap', fontWeight: '620 !important' }}>
                {elvaro}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1 }}>
        By hand the piece dries for ever at the law of its crust; Elvaro lets it slow down towards the weight
        at which it no longer dries, which is half a gram here. Every estimate behind it moves with the pieces
        a shop finishes.
      </Typography>
    </>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
