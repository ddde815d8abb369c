import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F10');
