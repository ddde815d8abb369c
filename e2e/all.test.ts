import { after, before } from 'node:test';
import { raise, strike } from './lib/stage';
import './jobs';
import './match';
import './run';
import './tables';
import './tools';
import './walk';

before(raise);
after(strike);
