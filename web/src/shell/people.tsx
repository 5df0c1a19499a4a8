import { whenSignedIn } from '../api/house';
import { askForRoom } from '../api/room';
import { House } from './House';
import { mount } from './mount';

if (window.location.pathname === '/') {
  whenSignedIn(askForRoom);
}
mount(<House />);
