"""Parts placed on carriers by their true shapes."""
