"""In which order, from where and which way round the cuts of a sheet are made."""
