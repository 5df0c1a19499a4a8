import Typography from '@mui/material/Typography';
import { useHouseAddress } from '../api/house';

/** Said wherever a link leaves this machine, while the house has no address that others reach. */
export function OnlyHere() {
  const { address, onlyHere } = useHouseAddress();
  return onlyHere ? (
    <Typography variant="body2" sx={{ color: 'warning.main' }}>
      Phones and other machines do not reach {address}: it is this machine’s own. An owner can set the public
      address of the house in Settings, Workshop.
    </Typography>
  ) : null;
}
