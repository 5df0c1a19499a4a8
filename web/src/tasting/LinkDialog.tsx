import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { QRCodeSVG } from 'qrcode.react';
import { useHouseAddress } from '../api/house';
import { OnlyHere } from '../kit/OnlyHere';

interface Props {
  name: string;
  link: string;
  onClose: () => void;
}

/** A taster's own way in: for a phone's camera, or to be sent. */
export function LinkDialog({ name, link, onClose }: Props) {
  const address = useHouseAddress().address + link;
  return (
    <Dialog open onClose={onClose} aria-labelledby="link">
      <DialogTitle id="link">For {name}&apos;s phone only</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, justifyItems: 'center' }}>
        <QRCodeSVG value={address} size={260} marginSize={4} title={`Link for ${name}`} />
        <TextField
          label="Or send it"
          value={address}
          onFocus={(event) => event.target.select()}
          slotProps={{ htmlInput: { readOnly: true } }}
        />
        <OnlyHere />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Done</Button>
      </DialogActions>
    </Dialog>
  );
}
