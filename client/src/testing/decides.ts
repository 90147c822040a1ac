import { decide } from '@kotiva/core/commands';
import { decideWith } from '../store/deciding.ts';

// a page fetches it after it is drawn; here it is there from the start
decideWith(decide);
