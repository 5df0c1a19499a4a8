import Box from '@mui/material/Box';
import { useSession } from '../api/house';
import { Page, Waiting } from '../kit/Page';
import { Chambers } from './Chambers';
import { MyCalendar } from './MyCalendar';
import { MyCodes } from './MyCodes';
import { MyPasskeys } from './MyPasskeys';
import { MyPassword } from './MyPassword';
import { MySessions } from './MySessions';
import { MyUnits } from './MyUnits';
import { People } from './People';
import { PriceList } from './PriceList';
import { Probes } from './Probes';
import { SignOut } from './SignOut';
import { TheRecord } from './TheRecord';
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
        <TheRecord />
        <MyCalendar />
        <MyPassword />
        <MyPasskeys />
        <MyCodes />
        <MySessions />
      </Box>
    </Page>
  );
}
