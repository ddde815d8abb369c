import { onStage } from './lib/stage';
import './access';
import './keyboard';
import './tables';
import './tools';
import './match';

onStage();
