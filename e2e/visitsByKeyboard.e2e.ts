import { Keyboard } from './briefs/hand';
import { firstVisits } from './briefs/visited';

firstVisits('keyboard alone', Keyboard, ['rescape']);
