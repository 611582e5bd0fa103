"""What leaves for machines, paper and screens, measured."""
