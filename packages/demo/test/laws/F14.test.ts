import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F14');
