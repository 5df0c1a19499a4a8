import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useSession } from '../api/house';
import { Page, Waiting } from '../kit/Page';
import { Part } from '../settings/Part';
import { ArchiveIn } from './ArchiveIn';
import { PastIn } from './PastIn';
import { PeriodReport } from './PeriodReport';
import { TakeAway } from './TakeAway';

/** The record leaves the house, whole or in part, and comes back. */
export default function ExchangePage() {
  const session = useSession();
  const me = session.data?.me;
  if (!me) {
    return <Waiting failure={session.error} />;
  }
  const paper = (
    <Part title="Some days on paper" about="For the owner’s file, and for whoever inspects the house.">
      <PeriodReport today={me.today} />
    </Part>
  );
  return (
    <Page title="Export and import">
      <Box sx={{ display: 'grid', gap: 6, maxWidth: 980, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        {me.role === 'OWNER' ? (
          <>
            <Part title="Export">
              <TakeAway />
            </Part>
            {paper}
            <Part
              title="Bring an archive in"
              about="It is tried first: you are told what would change, and nothing does until you say so. It comes in whole or not at all."
            >
              <ArchiveIn />
            </Part>
            <Part
              title="Bring in weights of the past"
              about="From a table you kept, CSV, XLSX or ODS: finished pieces, or weighings of a piece that hangs here."
            >
              <PastIn />
            </Part>
          </>
        ) : (
          <>
            {paper}
            <Typography sx={{ color: 'text.secondary' }}>
              The files of the whole house are the owner’s.
            </Typography>
          </>
        )}
      </Box>
    </Page>
  );
}
