import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import { fieldsOf } from '../kit/form/fields';
import { LATER, type Factor, type Known, type TrialText } from './draft';

interface Props {
  text: TrialText;
  known: Known;
  onChange: (part: Partial<TrialText>) => void;
}

const Trial = fieldsOf<TrialText>();

/** What is asked, what is compared for it, and of which pieces. */
export function QuestionFields({ text, known, onChange }: Props) {
  /** What all of a lot is alike in, so that no lot can be split for it. */
  const ofTheLot = (factor: string) => known.factors.some((each) => each.factor === factor && each.ofTheLot);
  return (
    <>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 190px 230px' } }}>
        <Trial.Text
          name="question"
          label="The question, in words"
          placeholder="Does a honey coat change the shrink or the taste?"
          required="Put the question in words."
          most={300}
        />
        <Trial.Choice
          name="factor"
          label="What is compared"
          onChanged={(factor) => ofTheLot(factor) && onChange({ factor: factor as Factor, lotId: '' })}
        >
          {known.factors.map(({ factor, label }) => (
            <MenuItem key={factor} value={factor}>
              {label}
            </MenuItem>
          ))}
        </Trial.Choice>
        <Trial.Choice
          name="measure"
          label="Judged by"
          helper="Named now, before anything is known. The rest is told beside it."
        >
          {known.measures.map(({ measure, label }) => (
            <MenuItem key={measure} value={measure}>
              {label}
            </MenuItem>
          ))}
        </Trial.Choice>
      </Box>
      <Trial.Choice
        name="lotId"
        label="Of which pieces"
        shown={text.lotId}
        empty="pieces that hang or hung already"
        helper={
          ofTheLot(text.factor)
            ? 'One animal has one of it: choose pieces of several.'
            : 'A lot that is split into all the arms answers best: the animal is the same.'
        }
      >
        {!ofTheLot(text.factor) &&
          known.uncut.map(({ subject }) => (
            <MenuItem key={subject.id} value={subject.id}>
              split lot {subject.tag}, {subject.name}
            </MenuItem>
          ))}
        {text.lotId === LATER && <MenuItem value={LATER}>a lot that is still to come</MenuItem>}
      </Trial.Choice>
    </>
  );
}
