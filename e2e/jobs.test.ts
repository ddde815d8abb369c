import { onStage } from './lib/stage';
import './walk';
import './jobs';
import './instruments';
import './pictures';
import './run';

onStage();
