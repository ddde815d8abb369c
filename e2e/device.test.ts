import { onStage } from './lib/stage';
import './device';
import './together';

onStage();
