import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F3');
