import { after, afterEach, before } from 'node:test';
import { clear, raise, strike } from './lib/stage';
import './access';
import './instruments';
import './jobs';
import './keyboard';
import './match';
import './pictures';
import './run';
import './tables';
import './together';
import './tools';
import './walk';
import './device';
import './families';

before(raise);
afterEach(clear);
after(strike);
