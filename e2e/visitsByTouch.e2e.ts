import { Finger } from './briefs/hand';
import { firstVisits } from './briefs/visited';

firstVisits('touch', Finger, ['wall']);
