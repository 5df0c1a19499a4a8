import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { useUsualChambers } from '../api/chambers';
import { refresh, useSession } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { chamberWords } from '../kit/words';

type Chamber = Schema['ChamberForm'];

const kinds: Record<'hung' | 'iced', Chamber['kind'][]> = {
  hung: ['SHED', 'WALK_IN', 'REFRIGERATOR', 'CABINET'],
  iced: ['ICE_CHEST'],
};

/** Where a house has no place of the kind yet: one as they usually are, made by a touch. */
export function NoPlace({ iced, onMade }: { iced: boolean; onMade: (id: string) => void }) {
  const mayMake = useSession().data?.me?.role === 'OWNER';
  const usual = useUsualChambers(mayMake);
  const make = useMutation({
    mutationFn: (chamber: Chamber) =>
      answer(api.PUT('/api/chambers/{id}', { params: { path: { id: chamber.id } }, body: chamber })),
    onSuccess: async ({ id }) => {
      await refresh();
      onMade(id);
    },
  });
  const offered = mayMake
    ? kinds[iced ? 'iced' : 'hung'].flatMap((kind) => usual.data?.find((each) => each.kind === kind) ?? [])
    : [];
  return (
    <Box className="whole" role="group" aria-label="Where it goes" sx={{ display: 'grid', gap: 1 }}>
      <Typography>
        {iced ? 'There is no ice chest here yet.' : 'There is no cold place here yet.'}{' '}
        {mayMake
          ? 'Add one as such places usually are; its air and its limit are changed under Settings.'
          : 'An owner adds it under Settings.'}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {offered.map((chamber) => (
          <Button
            key={chamber.kind}
            variant="outlined"
            disabled={make.isPending}
            onClick={() => make.mutate(chamber)}
            sx={{ minHeight: 48 }}
          >
            Add: {chamberWords[chamber.kind].toLowerCase()}
          </Button>
        ))}
      </Box>
      <ProblemNotice failure={make.error ?? usual.error} />
    </Box>
  );
}
