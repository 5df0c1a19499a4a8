import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { moment } from '../kit/units';
import { Part } from './Part';

/** How the nightly backups do, and whether one could be restored. */
export function Backups() {
  const backups = useQuery({ queryKey: ['backups'], queryFn: () => answer(api.GET('/api/backups')) });
  if (!backups.data?.byItself) {
    return null;
  }
  const { last, checked, folders, choosing } = backups.data;
  return (
    <Part
      title="Backups"
      about={`Written every night while Elvaro runs; once a week the newest is restored beside the house and looked at. A folder is chosen on the machine where Elvaro runs: ${choosing}`}
    >
      <Typography sx={{ color: last && !last.made ? 'warning.main' : undefined, overflowWrap: 'anywhere' }}>
        {last
          ? last.made
            ? `The last one: ${moment(last.at)}, ${last.words}`
            : `The last one failed, ${moment(last.at)}: ${last.words}`
          : 'None was written yet.'}
      </Typography>
      <Typography
        sx={{ color: checked && !checked.made ? 'warning.main' : undefined, overflowWrap: 'anywhere' }}
      >
        {checked
          ? checked.made
            ? `Restored and found whole: ${moment(checked.at)}`
            : `It could not be restored, ${moment(checked.at)}: ${checked.words}`
          : 'None was restored for a trial yet.'}
      </Typography>
      {folders.length > 0 && <Typography>Into {folders.join(', copied to ')}.</Typography>}
    </Part>
  );
}
