import { useSession } from '../api/house';
import { CoursePage } from './CoursePage';
import { PlayPage } from './PlayPage';

/** The course from outside; from inside, the piece as it lies before one. */
export default function RehearsalPage() {
  return useSession().data?.me?.rehearsing ? <PlayPage /> : <CoursePage />;
}
