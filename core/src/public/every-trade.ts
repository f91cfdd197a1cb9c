/** Every trade there is, let in: imported for what it does. */
import '../trades/registry.ts';
