import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Draft, Table } from './sheet';

interface Props {
  kind: Table['kind'];
  codes: number[];
  draft: Draft;
  onChange: (part: Partial<Draft>) => void;
}

const questions = {
  PAIRED: 'Which one do you like more?',
  TRIANGLE: 'Two of them are the same. Which one is different?',
  RANKING: 'Put them in order: touch the one you like best first.',
  SCORES: '',
};

/** The question at the end of a round, answered by codes. */
export function Choice({ kind, codes, draft, onChange }: Props) {
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h2" component="h1">
        {questions[kind]}
      </Typography>
      {kind === 'RANKING' ? (
        <Order codes={codes} draft={draft} onChange={onChange} />
      ) : (
        <Box role="group" aria-label="Plates" sx={{ display: 'grid', gap: 1.25 }}>
          {codes.map((code) => (
            <Big key={code} chosen={draft.picked === code} onClick={() => onChange({ picked: code })}>
              {code}
            </Big>
          ))}
          {kind === 'PAIRED' && (
            <Button
              variant={draft.picked === null ? 'contained' : 'outlined'}
              color="inherit"
              aria-pressed={draft.picked === null}
              onClick={() => onChange({ picked: null })}
              sx={{ minHeight: 56 }}
            >
              I like neither more
            </Button>
          )}
          {kind === 'TRIANGLE' && (
            <Typography sx={{ color: 'text.secondary' }}>If you cannot tell, guess.</Typography>
          )}
        </Box>
      )}
    </Box>
  );
}

function Big({ chosen, onClick, children }: { chosen: boolean; onClick: () => void; children: number }) {
  return (
    <Button
      variant={chosen ? 'contained' : 'outlined'}
      color={chosen ? 'secondary' : 'inherit'}
      aria-pressed={chosen}
      onClick={onClick}
      sx={{ minHeight: 84, fontFamily: 'h1.fontFamily', fontSize: '2.4rem', fontWeight: 700 }}
    >
      {children}
    </Button>
  );
}

function Order({ codes, draft, onChange }: Omit<Props, 'kind'>) {
  const left = codes.filter((code) => !draft.order.includes(code));
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      {draft.order.length > 0 && (
        <Box component="ol" aria-label="Best first" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {draft.order.map((code, index) => (
            <Box
              component="li"
              key={code}
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 2,
                borderTop: '1px solid',
                borderColor: 'divider',
                minHeight: 60,
              }}
            >
              <Typography
                component="span"
                sx={{ fontFamily: 'h1.fontFamily', fontSize: '1.9rem', fontWeight: 700, flex: 1 }}
              >
                {code}
              </Typography>
              {index > 0 && (
                <Button
                  variant={draft.equal.includes(code) ? 'contained' : 'outlined'}
                  color="inherit"
                  aria-pressed={draft.equal.includes(code)}
                  sx={{ minHeight: 48 }}
                  onClick={() =>
                    onChange({
                      equal: draft.equal.includes(code)
                        ? draft.equal.filter((each) => each !== code)
                        : [...draft.equal, code],
                    })
                  }
                >
                  as good as the one above
                </Button>
              )}
            </Box>
          ))}
        </Box>
      )}
      <Box role="group" aria-label="Still to be placed" sx={{ display: 'grid', gap: 1.25 }}>
        {left.map((code) => (
          <Big key={code} chosen={false} onClick={() => onChange({ order: [...draft.order, code] })}>
            {code}
          </Big>
        ))}
      </Box>
      {draft.order.length > 0 && (
        <Button color="inherit" onClick={() => onChange({ order: [], equal: [] })} sx={{ minHeight: 48 }}>
          Begin the order again
        </Button>
      )}
    </Box>
  );
}
