import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import TextField from '@mui/material/TextField';
import { useEffect, useState, type ReactNode } from 'react';
import { Link as RouterLink, useLocation } from 'react-router';
import type { Schema } from '../api/client';
import { useCautions, useInspectionRules } from '../api/guide';
import { useMethods } from '../api/pieces';
import { Page } from '../kit/Page';
import { useUnits } from '../kit/units';
import { answers } from '../look/words';
import { forecastWorking, workedExample } from './example';
import { speaksOf } from './search';
import {
  benchWorking,
  compareWorking,
  devices,
  gameWorking,
  ledgerWorking,
  tastingWorking,
  trialWorking,
} from './rules';

const SURFACES = 'Methods, and what the surface wants';
const EXAMPLE = 'From buying to expected yield, by hand and by Elvaro';

const workings: { title: string; terms: [string, string][] }[] = [
  { title: 'How the numbers are worked out', terms: ledgerWorking },
  { title: 'How the forecast comes about', terms: forecastWorking },
  { title: 'How a trial is drawn and judged', terms: trialWorking },
  { title: 'Bench, packs and grind', terms: benchWorking },
  { title: 'Game', terms: gameWorking },
  { title: 'What finished pieces say together', terms: compareWorking },
  { title: 'How a tasting is set and judged', terms: tastingWorking },
  { title: 'How probes and scales speak', terms: devices },
];

const surfaces = (methods: Schema['MethodView'][]) =>
  methods.map(({ label, surface }): [string, string] => [label, surface]);

const treatments: (typeof workings)[number] = {
  title: 'Treatments',
  terms: [['Each kind', 'What can be put on a piece, how much of it, its steps, and what it must not meet.']],
};

/** Goes to the topic the address names, once it is drawn. */
function ToTopic({ drawn }: { drawn: number }) {
  const { hash } = useLocation();
  useEffect(() => {
    document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash, drawn]);
  return null;
}

/** Why, and is it dangerous. */
export default function GuidePage() {
  const methods = useMethods();
  const [asked, setAsked] = useState('');
  const units = useUnits();
  const topics = (useCautions().data ?? []).filter(({ title, cautions, source }) =>
    speaksOf(asked, title, ...cautions.map(({ sentence }) => sentence), source),
  );
  const parts = [...workings, { title: SURFACES, terms: surfaces(methods.data ?? []) }, treatments]
    .map((part) => ({
      ...part,
      terms: part.terms
        .map(([name, meaning]): [string, string] => [units.sentence(name), units.sentence(meaning)])
        .filter((term) => speaksOf(asked, part.title, ...term)),
    }))
    .filter((part) => part.terms.length > 0);
  return (
    <Page title="Guide">
      <Typography sx={{ maxWidth: 720, mb: 4, fontSize: '1.1rem' }}>
        Local law and a licensed practitioner decide what may be eaten and sold. A shop needs its own written
        food-safety plan. Elvaro measures, works out and asks; it clears nothing for eating.{' '}
        <Link component={RouterLink} to="/rehearsal" sx={{ color: 'secondary.main' }}>
          Rehearse it without meat
        </Link>
        : fourteen lessons of ten minutes each.
      </Typography>
      <TextField
        label="Find in the guide"
        type="search"
        value={asked}
        onChange={(event) => setAsked(event.target.value)}
        sx={{ mb: 4, width: '100%', maxWidth: 420 }}
      />
      {topics.length + parts.length === 0 && (
        <Typography role="status">
          Nothing here speaks of that. Try fewer words, or their beginning.
        </Typography>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          columnGap: 8,
          rowGap: 5,
        }}
      >
        <Part title="Cautions" empty={topics.length === 0}>
          {topics.map((topic) => (
            <Box
              key={topic.id}
              id={topic.id}
              sx={{
                scrollMarginTop: 24,
                '&:target': { bgcolor: 'background.paper' },
                py: 1,
                borderTop: '1px solid',
                borderColor: 'divider',
              }}
            >
              <Typography variant="h3">{topic.title}</Typography>
              {topic.cautions.map(({ caution, sentence }) => (
                <Typography key={caution}>{sentence}</Typography>
              ))}
              {topic.topic === 'LOOKING' && <Looking />}
              <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                {topic.source}
              </Typography>
            </Box>
          ))}
        </Part>
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          {parts.map((part) => (
            <Part key={part.title} title={part.title}>
              <Terms terms={part.terms} />
              {part.title === treatments.title && (
                <Link component={RouterLink} to="/treatments" sx={{ color: 'secondary.main' }}>
                  work out a dose
                </Link>
              )}
            </Part>
          ))}
        </Box>
      </Box>
      {speaksOf(asked, EXAMPLE, 'worked example') && (
        <Box sx={{ mt: 5 }} id="example">
          <Part title={EXAMPLE}>
            <Example />
          </Part>
        </Box>
      )}
      <ToTopic drawn={topics.length + parts.length} />
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
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '11rem minmax(0, 1fr)' },
        rowGap: 1,
      }}
    >
      {terms.map(([name, meaning]) => (
        <Box key={name + meaning} sx={{ display: 'contents' }}>
          <Typography component="dt" sx={{ fontWeight: 620 }}>
            {name}
          </Typography>
          <Typography component="dd" sx={{ m: 0, overflowWrap: 'anywhere' }}>
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
            overflowWrap: 'anywhere',
            py: 0.75,
            pr: { xs: 1.5, sm: 3 },
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
              <Box component="td" sx={{ whiteSpace: { sm: 'nowrap' }, fontWeight: '620 !important' }}>
                {byHand}
              </Box>
              <Box component="td" sx={{ whiteSpace: { sm: 'nowrap' }, fontWeight: '620 !important' }}>
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

function Part({ title, empty, children }: { title: string; empty?: boolean; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ minWidth: 0, display: empty ? 'none' : undefined }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
