import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { useMethods } from '../api/queries';
import { Page } from '../kit/Page';
import { ledgerWorking, rules } from './rules';

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
              <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                {rule.source}
              </Typography>
            </Box>
          ))}
        </Part>
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          <Part title="How the numbers are worked out">
            <Box
              component="dl"
              sx={{
                m: 0,
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '11rem 1fr' },
                rowGap: 1,
              }}
            >
              {ledgerWorking.map(([name, working]) => (
                <Box key={name} sx={{ display: 'contents' }}>
                  <Typography component="dt" sx={{ fontWeight: 620 }}>
                    {name}
                  </Typography>
                  <Typography component="dd" sx={{ m: 0 }}>
                    {working}
                  </Typography>
                </Box>
              ))}
            </Box>
          </Part>
          <Part title="Methods, and what the surface wants">
            {methods.data?.map((method) => (
              <Typography key={method.method} sx={{ py: 0.5 }}>
                <strong>{method.label}.</strong> {method.surface}
              </Typography>
            ))}
          </Part>
        </Box>
      </Box>
    </Page>
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
