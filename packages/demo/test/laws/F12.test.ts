import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F12');
