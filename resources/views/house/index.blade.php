<x-station title="House" station="house">
    <x-house-rooms/>
</x-station>
