import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useSession } from '../api/house';
import { Page, Waiting } from '../kit/Page';
import { Chambers } from './Chambers';
import { MyCalendar } from './MyCalendar';
import { MyPassword } from './MyPassword';
import { MyUnits } from './MyUnits';
import { Part } from './Part';
import { People } from './People';
import { PriceList } from './PriceList';
import { Probes } from './Probes';
import { SignOut } from './SignOut';
import { Workshop } from './Workshop';

export default function SettingsPage() {
  const session = useSession();
  const me = session.data?.me;
  if (!me) {
    return <Waiting failure={session.error} />;
  }
  return (
    <Page title="Settings" aside={<SignOut />}>
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
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            <Button variant="outlined" component={Link} to="/exchange">
              Export and import
            </Button>
            <Button variant="outlined" component={Link} to="/record/changes">
              What was changed
            </Button>
          </Box>
        </Part>
        <MyCalendar />
        <MyPassword />
      </Box>
    </Page>
  );
}
