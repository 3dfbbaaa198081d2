// Installs and builds what is missing.
import { build, install } from './prepare.mjs';

install();
build();
