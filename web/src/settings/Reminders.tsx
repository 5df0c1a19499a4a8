import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Part } from './Part';

/** Where it is said how people are told. */
export function Reminders() {
  return (
    <Part
      title="Reminders and alarms"
      about="The morning list, questions, warm air at night: by mail, on a phone, to another program."
    >
      <Button variant="outlined" component={Link} to="/reminders" sx={{ justifySelf: 'start' }}>
        How people are told
      </Button>
    </Part>
  );
}
