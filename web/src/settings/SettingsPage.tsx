import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useSession } from '../api/house';
import { Page, Waiting } from '../kit/Page';
import { Backups } from './Backups';
import { Chambers } from './Chambers';
import { Encryption } from './Encryption';
import { MyCalendar } from './MyCalendar';
import { MyCodes } from './MyCodes';
import { MyPasskeys } from './MyPasskeys';
import { MyPassword } from './MyPassword';
import { MySessions } from './MySessions';
import { MyUnits } from './MyUnits';
import { People } from './People';
import { PriceList } from './PriceList';
import { Probes } from './Probes';
import { Programs } from './Programs';
import { Reminders } from './Reminders';
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
        <Reminders />
        <Chambers mayChange={me.role === 'OWNER'} />
        {me.role === 'OWNER' && (
          <>
            <Probes />
            <Workshop />
            <PriceList />
            <People me={me.id} />
            <Backups />
            <Encryption />
          </>
        )}
        <TheRecord />
        <MyCalendar />
        <Programs />
        <MyPassword />
        <MyPasskeys />
        <MyCodes />
        <MySessions />
        {me.version && (
          <Typography variant="body2" color="text.secondary">
            Elvaro {me.version}
          </Typography>
        )}
      </Box>
    </Page>
  );
}
