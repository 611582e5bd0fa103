"""How close traces come to drawn truth: open vector art rendered, traced and compared."""
