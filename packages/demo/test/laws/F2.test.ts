import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F2');
