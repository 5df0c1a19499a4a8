import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { signOut } from '../api/client';
import { queryClient, useSession } from '../api/house';
import { dropDrafts } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { Chambers } from './Chambers';
import { MyCalendar } from './MyCalendar';
import { MyPassword } from './MyPassword';
import { MyUnits } from './MyUnits';
import { Part } from './Part';
import { People } from './People';
import { PriceList } from './PriceList';
import { Probes } from './Probes';
import { Workshop } from './Workshop';

export default function SettingsPage() {
  const session = useSession();
  const me = session.data?.me;
  const leave = useMutation({
    mutationFn: signOut,
    onSuccess: () => {
      dropDrafts();
      queryClient.clear();
      window.location.assign('/');
    },
  });
  if (!me) {
    return <Waiting failure={session.error} />;
  }
  return (
    <Page
      title="Settings"
      aside={
        <Button variant="outlined" color="inherit" onClick={() => leave.mutate()}>
          Sign out
        </Button>
      }
    >
      <ProblemNotice failure={leave.error} />
      <Box sx={{ display: 'grid', gap: 6, maxWidth: 980 }}>
        <MyUnits preferences={me.preferences} />
        <Chambers mayChange={me.role === 'OWNER'} />
        {me.role === 'OWNER' && (
          <>
            <Probes />
            <Workshop />
            <PriceList />
            <People me={me.id} />
          </>
        )}
        <Part
          title="The record"
          about="All that is kept can leave as files other programs read, and come back; a backup is made where Elvaro runs."
        >
          <Box>
            <Button variant="outlined" component={Link} to="/exchange">
              Carry away, bring in
            </Button>
          </Box>
        </Part>
        <MyCalendar />
        <MyPassword />
      </Box>
    </Page>
  );
}
