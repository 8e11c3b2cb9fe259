/** Tests work with every family, as the server does. */
import '../src/core/appliances/all';
