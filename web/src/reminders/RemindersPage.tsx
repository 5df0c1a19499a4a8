import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useSession } from '../api/house';
import { useHouseNotices, useMyNotices } from '../api/notices';
import { OnlyHere } from '../kit/OnlyHere';
import { Page, Waiting } from '../kit/Page';
import { Part } from '../settings/Part';
import { AlarmsLately } from './AlarmsLately';
import { HouseMail } from './HouseMail';
import { MyChoice } from './MyChoice';
import { MyPhones } from './MyPhones';
import { OtherProgram } from './OtherProgram';
import { WhatWasTold } from './WhatWasTold';
import { WhoIsTold } from './WhoIsTold';

/** How people are told without asking: one screen, in sentences. */
export default function RemindersPage() {
  const mine = useMyNotices();
  const owner = useSession().data?.me?.role === 'OWNER';
  if (!mine.data) {
    return <Waiting failure={mine.error} />;
  }
  return (
    <Page title="Reminders and alarms">
      <Box sx={{ display: 'grid', gap: 6, maxWidth: 860 }}>
        <OnlyHere />
        <MyChoice key={mine.data.choice.version} mine={mine.data} />
        <MyPhones mine={mine.data} />
        {owner ? <OfTheHouse /> : <Plan air={mine.data.air} />}
        <AlarmsLately />
        <WhatWasTold owner={owner} />
      </Box>
    </Page>
  );
}

function Plan({ air }: { air: string[] }) {
  return (
    <Part title="When the air of a chamber is wrong">
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {air.map((sentence) => (
          <Typography key={sentence} component="li">
            {sentence}
          </Typography>
        ))}
      </Box>
    </Part>
  );
}

/** What an owner sets. */
function OfTheHouse() {
  const mine = useMyNotices();
  const house = useHouseNotices();
  if (!house.data || !mine.data) {
    return <Waiting failure={house.error} />;
  }
  const { version } = house.data;
  return (
    <>
      <WhoIsTold key={`air ${version}`} house={house.data} sentences={mine.data.air} />
      <HouseMail key={`mail ${version}`} house={house.data} />
      <OtherProgram key={`program ${version}`} house={house.data} groups={mine.data.groups} />
    </>
  );
}
