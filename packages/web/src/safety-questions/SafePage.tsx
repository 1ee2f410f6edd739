import { Link } from 'react-router';
import { Page } from '../ui/Page';
import { SafeMoments } from './safe/SafeMoments';

export default function SafePage() {
  return (
    <Page
      title="When it is safe"
      over={<Link to="/checks">Checks</Link>}
      sub="The learner looks far ahead, looks in the mirror, and picks the moment to work a control."
    >
      <SafeMoments />
    </Page>
  );
}
