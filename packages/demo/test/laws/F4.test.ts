import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F4');
