import { JOBS, runFamilies } from './families';
import { onStage } from './lib/stage';

onStage();
runFamilies(JOBS.slice(7));
