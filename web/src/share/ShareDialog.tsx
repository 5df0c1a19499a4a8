import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import { AskFirst } from '../kit/AskFirst';
import { answer, api } from '../api/client';
import { useHouseAddress, useSession } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { OnlyHere } from '../kit/OnlyHere';
import type { SharedKind } from './kind';

const words: Record<SharedKind, string> = { TRIAL: 'trial', PIECE: 'piece' };

/** Shows a trial or a piece around by a link, or takes the link back; for the owner, who answers for it. */
export function ShareButton({ what, id }: { what: SharedKind; id: string }) {
  const [open, setOpen] = useState(false);
  const owner = useSession().data?.me?.role === 'OWNER';
  if (!owner) {
    return null;
  }
  return (
    <>
      <Button className="no-print" color="inherit" onClick={() => setOpen(true)}>
        Show it around
      </Button>
      {open && <ShareDialog what={what} id={id} onClose={() => setOpen(false)} />}
    </>
  );
}

function ShareDialog({ what, id, onClose }: { what: SharedKind; id: string; onClose: () => void }) {
  const at = { params: { path: { kind: what, id } } };
  const known = useQuery({
    queryKey: ['share', what, id],
    queryFn: () => answer(api.GET('/api/share/{kind}/{id}', at)),
  });
  const client = useQueryClient();
  const changed = { onSuccess: () => client.invalidateQueries({ queryKey: ['share', what, id] }) };
  const share = useMutation({ mutationFn: () => answer(api.PUT('/api/share/{kind}/{id}', at)), ...changed });
  const back = useMutation({
    mutationFn: () => answer(api.DELETE('/api/share/{kind}/{id}', at)),
    ...changed,
  });
  const path = known.data?.path;
  const house = useHouseAddress();
  const address = path ? house.address + path : '';
  return (
    <Dialog open onClose={onClose} aria-labelledby="share">
      <DialogTitle id="share">Show this {words[what]} around</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, justifyItems: 'start', maxWidth: 480 }}>
        <Typography>
          Whoever has the link sees one page, without an account: what was asked and done, curves, photos and
          what came of it. No prices, suppliers, rooms, tags or people.
        </Typography>
        {path && (
          <>
            <QRCodeSVG value={address} size={200} marginSize={4} title="Link of the page" />
            <TextField
              label="The link"
              value={address}
              fullWidth
              onFocus={(event) => event.target.select()}
              slotProps={{ htmlInput: { readOnly: true } }}
            />
            <OnlyHere />
          </>
        )}
        <ProblemNotice failure={known.error ?? share.error ?? back.error} />
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap' }}>
        {path ? (
          <AskFirst
            label="Take the link back"
            warning="Whoever has it sees nothing any more."
            busy={back.isPending}
            onYes={() => back.mutate()}
          />
        ) : (
          <Button variant="contained" disabled={share.isPending} onClick={() => share.mutate()}>
            Make a link
          </Button>
        )}
        <Button onClick={onClose}>Done</Button>
      </DialogActions>
    </Dialog>
  );
}
