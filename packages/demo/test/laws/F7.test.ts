import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F7');
