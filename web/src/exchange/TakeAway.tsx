import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

const files = [
  {
    name: 'Archive',
    ending: 'ZIP, JSON within',
    what: 'All that was ever kept, to be brought into another house or kept for good. Its JSON Schema says what everything in it is; a byte that is lost on the way is noticed.',
    path: '/api/exchange/archive.zip',
  },
  {
    name: 'Tables',
    ending: 'ZIP, CSV within',
    what: 'The same, a table each, with a descriptor (a tabular data package) for statistics programs.',
    path: '/api/exchange/tables.zip',
  },
  {
    name: 'Workbook',
    ending: 'XLSX',
    what: 'The same to read and reckon with: the finished pieces first, then a sheet a table. Without the air, which is too long for a sheet.',
    path: '/api/exchange/workbook.xlsx',
  },
] as const;

/** The files of the whole house. */
export function TakeAway() {
  return (
    <>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {files.map(({ name, ending, what, path }) => (
          <Box
            component="li"
            key={path}
            sx={{
              display: 'flex',
              gap: 2,
              alignItems: 'center',
              justifyContent: 'space-between',
              flexWrap: { xs: 'wrap', sm: 'nowrap' },
              py: 1.5,
              borderTop: '1px solid',
              borderColor: 'divider',
            }}
          >
            <Box sx={{ maxWidth: 640 }}>
              <Typography sx={{ fontWeight: 620 }}>
                {name}{' '}
                <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
                  {ending}
                </Box>
              </Typography>
              <Typography variant="body2">{what}</Typography>
            </Box>
            <Button variant="outlined" href={path} download aria-label={`Save the ${name.toLowerCase()}`}>
              Save
            </Button>
          </Box>
        ))}
      </Box>
      <Typography
        variant="body2"
        sx={{ color: 'text.secondary', pt: 1.5, borderTop: '1px solid', borderColor: 'divider' }}
      >
        No password, token or calendar link leaves the house, and no tasting that is still blind. The tasks as
        a calendar are under Settings; a piece, a chamber and a trial have files of their own.
      </Typography>
    </>
  );
}
