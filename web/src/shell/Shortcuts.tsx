import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { ALONE_AFTER_MS, isScanning } from '../kit/scan';
import { useKeysLead } from './keysLead';
import { views } from './views';

const FIND = '/';
const LIST = '?';

const keys: { key: string; does: string; to?: string }[] = [
  ...views,
  { key: FIND, does: 'find anything by its tag, number or words' },
  { key: LIST, does: 'this list' },
];

const OVER_THE_PAGE = '[role=dialog], .MuiModal-root';

/** Whether letters go into a field or look for a choice in an open list. */
const isTaken = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) ||
    target.closest('[role=listbox], [role=menu]') !== null);

/** Single keys that lead round the house, and the list of them. They can be turned off, and rest while a dialog is open. */
export function Shortcuts() {
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const [lead, setLead] = useKeysLead();

  useEffect(() => {
    let later = 0;
    const onKey = (event: KeyboardEvent) => {
      window.clearTimeout(later);
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTaken(event.target)) {
        return;
      }
      const shortcut = keys.find(({ key }) => key === event.key);
      if (!shortcut || (!lead && shortcut.key !== LIST)) {
        return;
      }
      event.preventDefault();
      // A scanner's first letter is no shortcut: what follows it at once tells. What was just closed is gone by then.
      later = window.setTimeout(() => {
        if (isScanning() || document.querySelector(OVER_THE_PAGE)) {
          return;
        }
        if (shortcut.to) {
          navigate(shortcut.to);
        } else if (shortcut.key === FIND) {
          document.getElementById('find')?.focus();
        } else {
          setOpen(true);
        }
      }, ALONE_AFTER_MS);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.clearTimeout(later);
      window.removeEventListener('keydown', onKey);
    };
  }, [navigate, lead]);

  return (
    <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="shortcuts">
      <DialogTitle id="shortcuts">Keys</DialogTitle>
      <DialogContent>
        <FormControlLabel
          control={<Checkbox checked={lead} onChange={(event) => setLead(event.target.checked)} />}
          label="Single keys lead round the house"
        />
        <Table size="small">
          <TableBody>
            {keys.map(({ key, does }) => (
              <TableRow key={key}>
                <TableCell sx={{ fontWeight: 700 }}>{key}</TableCell>
                <TableCell>{does}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
    </Dialog>
  );
}
