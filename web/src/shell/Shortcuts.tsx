import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';

const keys: { key: string; does: string; to?: string }[] = [
  { key: 'h', does: 'the room as it hangs', to: '/' },
  { key: 'p', does: 'plan', to: '/plan' },
  { key: 'r', does: 'receive a lot', to: '/receive' },
  { key: 'w', does: 'weigh a piece', to: '/weigh' },
  { key: 'l', does: 'look at a piece', to: '/look' },
  { key: 't', does: 'treatments and their doses', to: '/treatments' },
  { key: 'q', does: 'questions: the trials', to: '/trials' },
  { key: 'b', does: 'blind tastings: the table', to: '/tastings' },
  { key: 's', does: 'stock: what is packed', to: '/stock' },
  { key: 'c', does: 'compare finished pieces', to: '/compare' },
  { key: 'g', does: 'the guide', to: '/guide' },
  { key: '/', does: 'find a piece by its tag' },
  { key: '?', does: 'this list' },
];

/** Whether letters go into a field, or look for a choice in an open list. */
const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) ||
    target.closest('[role=listbox], [role=menu]') !== null);

/** Single keys that lead round the house, and the list of them. */
export function Shortcuts() {
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) {
        return;
      }
      const shortcut = keys.find(({ key }) => key === event.key);
      if (!shortcut) {
        return;
      }
      event.preventDefault();
      if (shortcut.to) {
        navigate(shortcut.to);
      } else if (shortcut.key === '/') {
        document.getElementById('find')?.focus();
      } else {
        setOpen(true);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate]);

  return (
    <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="shortcuts">
      <DialogTitle id="shortcuts">Keys</DialogTitle>
      <DialogContent>
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
